/** Made-up parts under the simulated gauges: what a perfect gauge would read at an angle and a place. */

/** True figure at an angle (degrees) and a time (seconds since the instrument was put on). */
type Truth = (angleDeg: number, seconds: number) => number;

const wave = (angleDeg: number, times: number, phaseDeg = 0): number => Math.cos(((angleDeg * times - phaseDeg) * Math.PI) / 180);

export interface MadeUpPart {
  readonly name: string;
  readonly truth: Truth;
}

/** Thickness of a rotor, mm: about a mean, with a thin place on one side. */
export const rotor = (name: string, mean: number, variation: number): MadeUpPart => ({
  name,
  truth: (a) => mean - (variation / 2) * (1 - wave(a, 1, 130)) + 0.0015 * wave(a, 3, 40),
});
/** Reading of a dial on a turning face, mm: it stands askew on its hub, and is wavy by itself. */
export const face = (name: string, askew: number, wavy: number): MadeUpPart => ({
  name,
  truth: (a) => 1 + (askew / 2) * wave(a, 1, 70) + (wavy / 2) * wave(a, 2, 15),
});
/** Diameter across a drum, mm: oval. */
export const drum = (name: string, mean: number, oval: number): MadeUpPart => ({ name, truth: (a) => mean + (oval / 2) * wave(a, 2, 25) });
/** One figure wherever it is read. */
export const plain = (name: string, figure: number): MadeUpPart => ({ name, truth: () => figure });
/** Something that is pulled or pressed until it gives: the figure climbs to what it takes and stays. */
export const climbing = (name: string, to: number, overSeconds: number): MadeUpPart => ({
  name,
  truth: (_a, s) => to * (1 - Math.exp(-s / overSeconds)),
});
/** An oven or a casting that is warmed from a room of 20 °C. */
export const warming = (name: string, to: number, overSeconds: number): MadeUpPart => ({
  name,
  truth: (_a, s) => 20 + (to - 20) * (1 - Math.exp(-s / overSeconds)),
});
/** A bottle on a scale, into which so many grams run a second. */
export const filling = (name: string, from: number, gramsASecond: number): MadeUpPart => ({
  name,
  truth: (_a, s) => from + gramsASecond * s,
});
/** A pressure that is held and leaks away, as a share of itself an hour. */
export const leaking = (name: string, from: number, lostAnHour: number): MadeUpPart => ({
  name,
  truth: (_a, s) => from * Math.exp((Math.log(1 - lostAnHour) * s) / 3600),
});
