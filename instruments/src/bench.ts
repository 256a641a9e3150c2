import { type Facts, Instrument } from './instrument.ts';
import { climbing, drum, face, filling, leaking, plain, rotor, warming } from './parts.ts';

/** The instruments of the simulated bench: each stands in for a real one on made-up parts. */
export const BENCH: readonly Facts[] = [
  {
    ...{ tag: 'M-03', kind: 'micrometer', name: 'Micrometer 0 to 25 mm', unit: 'mm', resolution: 0.001, noise: 0.0008, offset: 0.001 },
    ...{ driftPerHour: 0.0015, lag: 0.2, turns: true },
    parts: [rotor('Rotor, sound', 12.48, 0.006), rotor('Rotor, worn thin', 11.06, 0.021), rotor('Rotor, ground by hand', 11.62, 0.048)],
  },
  {
    ...{ tag: 'B-01', kind: 'bore_gauge', name: 'Bore gauge 18 to 35 mm', unit: 'mm', resolution: 0.001, noise: 0.001, offset: -0.001 },
    ...{ driftPerHour: 0.001, lag: 0.3, turns: true },
    parts: [drum('Bore, sound', 19.061, 0.004), drum('Bore, worn oval', 19.132, 0.03)],
  },
  {
    ...{
      tag: 'D-02',
      kind: 'dial',
      name: 'Dial indicator 10 mm',
      unit: 'mm',
      resolution: 0.01,
      noise: 0.002,
      offset: 0,
      driftPerHour: 0.001,
    },
    ...{ lag: 0.15, turns: true },
    parts: [face('Face, true', 0.03, 0.01), face('Face, on a dirty hub', 0.21, 0.015), face('Face, warped', 0.05, 0.16)],
  },
  {
    ...{ tag: 'G-01', kind: 'drum_gauge', name: 'Drum gauge 150 to 330 mm', unit: 'mm', resolution: 0.05, noise: 0.015, offset: 0.02 },
    ...{ driftPerHour: 0, lag: 0.4, turns: true },
    parts: [drum('Drum, sound', 228.75, 0.05), drum('Drum, oval', 229.4, 0.32)],
  },
  {
    ...{ tag: 'T-01', kind: 'depth_gauge', name: 'Depth gauge', unit: 'mm', resolution: 0.02, noise: 0.008, offset: 0.01, driftPerHour: 0 },
    ...{ lag: 0.2, turns: false },
    parts: [plain('Step of a hub', 6.34), plain('Worn lip of a drum', 1.12)],
  },
  {
    ...{
      tag: 'C-04',
      kind: 'caliper',
      name: 'Digital caliper 150 mm',
      unit: 'mm',
      resolution: 0.01,
      noise: 0.006,
      offset: 0.01,
      driftPerHour: 0,
    },
    ...{ lag: 0.1, turns: false },
    parts: [plain('Pad, half worn', 6.42), plain('Pad, at its end', 1.93), plain('Piston', 53.96)],
  },
  {
    ...{
      tag: 'S-01',
      kind: 'spring_scale',
      name: 'Spring scale 200 N',
      unit: 'N',
      resolution: 1,
      noise: 0.8,
      offset: 1,
      driftPerHour: 0,
      lag: 0.3,
    },
    turns: false,
    parts: [climbing('Wheel, free', 14, 0.8), climbing('Wheel that drags', 68, 1.2)],
  },
  {
    ...{
      tag: 'P-01',
      kind: 'pedal_force',
      name: 'Pedal-force gauge',
      unit: 'N',
      resolution: 1,
      noise: 1.5,
      offset: 0,
      driftPerHour: 0,
      lag: 0.2,
    },
    turns: false,
    parts: [climbing('Pedal, pressed hard', 320, 0.7)],
  },
  {
    ...{
      tag: 'P-02',
      kind: 'pressure_gauge',
      name: 'Pressure gauge 160 bar',
      unit: 'bar',
      resolution: 1,
      noise: 0.3,
      offset: 0.5,
      driftPerHour: 0,
    },
    ...{ lag: 0.2, turns: false },
    parts: [leaking('Held, tight', 80, 0.01), leaking('Held, sinks', 80, 0.97)],
  },
  {
    ...{
      tag: 'F-01',
      kind: 'fluid_tester',
      name: 'Fluid tester',
      unit: '%',
      resolution: 0.1,
      noise: 0.08,
      offset: 0.1,
      driftPerHour: 0,
      lag: 0.8,
    },
    turns: false,
    parts: [plain('Fluid, fresh', 0.4), plain('Fluid, old', 3.4)],
  },
  {
    ...{ tag: 'F-02', kind: 'boil_tester', name: 'Boiling tester', unit: '°C', resolution: 1, noise: 0.8, offset: -1, driftPerHour: 0 },
    ...{ lag: 2.5, turns: false },
    parts: [warming('Fluid, fresh', 246, 3), warming('Fluid, old', 158, 3)],
  },
  {
    ...{ tag: 'F-03', kind: 'fluid_tester', name: 'Refractometer', unit: '%', resolution: 0.1, noise: 0.03, offset: 0, driftPerHour: 0 },
    ...{ lag: 0.3, turns: false },
    parts: [plain('Fluid, fresh', 0.3), plain('Fluid, old', 3.1)],
  },
  {
    ...{ tag: 'K-01', kind: 'scale', name: 'Scale under the bottle', unit: 'g', resolution: 1, noise: 0.2, offset: 0, driftPerHour: 0 },
    ...{ lag: 0.2, turns: false },
    parts: [filling('Bottle, fluid runs', 212, 1.6), filling('Bottle, slow', 212, 0.2), plain('Bottle, nothing runs', 212)],
  },
  {
    ...{
      tag: 'O-01',
      kind: 'thermometer',
      name: 'Oven probe',
      unit: '°C',
      resolution: 1,
      noise: 0.4,
      offset: 0.5,
      driftPerHour: 0.2,
      lag: 4,
    },
    turns: false,
    parts: [warming('Curing oven', 120, 420), plain('Bench', 19)],
  },
];

/** The whole bench, every instrument on its first part. */
export function makeBench(seed: number): Instrument[] {
  return BENCH.map((facts, i) => new Instrument(facts, seed + i * 7919));
}
