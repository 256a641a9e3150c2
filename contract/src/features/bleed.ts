import { eventEndpoint } from '../eventEndpoint.ts';
import { EVENTS } from '../events.ts';

export const bleed = {
  pull: eventEndpoint('bleed', EVENTS.bleedPulls, 'bleed-pulls', 'Records what came at a bleeder'),
  serveFluid: eventEndpoint('bleed', EVENTS.fluidServices, 'fluid-services', 'Names the fluid that goes in'),
};
