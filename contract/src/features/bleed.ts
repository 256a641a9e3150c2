import { eventEndpoint } from '../eventEndpoint.ts';
import { EVENTS } from '../events.ts';

export const bleed = {
  beginBleeding: eventEndpoint('bleed', EVENTS.bleedSessions, 'bleed-sessions', 'Begins a session of bleeding'),
  recordBleedStep: eventEndpoint(
    'bleed',
    EVENTS.bleedSteps,
    'bleed-steps',
    'Takes a stroke, a look at the level, a filling or what closes a bleeder',
  ),
  recordBleedPull: eventEndpoint('bleed', EVENTS.bleedPulls, 'bleed-pulls', 'Records what came at a bleeder'),
  recordFluidSample: eventEndpoint('bleed', EVENTS.fluidSamples, 'fluid-samples', 'Enters what was measured of the fluid'),
  recordFluid: eventEndpoint('bleed', EVENTS.fluidServices, 'fluid-services', 'Names the fluid that goes in'),
};
