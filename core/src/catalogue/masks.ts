import type { ComponentKind } from '../layout/kinds.ts';

/** What is masked before a finish goes on, by kind of unit. Source: handbook 58, A30; 55, cards 22 to 24. */
const MASKS: Readonly<Partial<Record<ComponentKind, readonly string[]>>> = {
  caliper: [
    'Bores',
    'Port thread and seat',
    'Bleeder thread and seat',
    'Slide-pin bores',
    'Abutments of the pads',
    'Mounting faces',
    'Joint of the halves',
  ],
  wheel_cylinder: ['Bore', 'Port thread and seat', 'Bleeder thread', 'Face to the plate'],
  master_cylinder: ['Bore', 'Port threads and seats', 'Reservoir sockets', 'Face to the servo or bulkhead'],
  rotor: ['Friction faces', 'Face to the hub', 'Face to the wheel', 'Centre hole'],
  drum: ['Friction ring', 'Face to the hub', 'Face to the wheel', 'Centre hole'],
  hub: ['Bearing seats', 'Seal seat', 'Stud threads', 'Face to rotor or drum'],
  piston: ['Sealing face'],
  servo: ['Push-rod and its bore', 'Threads of the studs', 'Face to the master cylinder'],
  valve: ['Port threads and seats'],
  band_drum: ['Friction ring', 'Centre hole'],
};

/** Faces, bores, threads and press fits of a unit that no finish may get onto. */
export function masksFor(kind: ComponentKind): readonly string[] {
  return MASKS[kind] ?? ['Threads', 'Bearing and seal seats', 'Mating faces'];
}
