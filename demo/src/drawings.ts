import sharp from 'sharp';

type Colour = readonly [number, number, number];
const PAPER: Colour = [251, 250, 246];
const INK: Colour = [27, 34, 38];
const COPPER: Colour = [164, 86, 31];
const SHADE: Colour = [214, 210, 198];

/** A sheet that is drawn on, point by point: the made-up shop has drawings where a real one has photographs. */
class Sheet {
  readonly width: number;
  readonly height: number;
  private readonly data: Uint8Array;
  constructor(width: number, height: number) {
    this.width = width;
    this.height = height;
    this.data = new Uint8Array(width * height * 4).fill(255);
    this.fill(() => PAPER);
  }
  private fill(at: (x: number, y: number) => Colour | null): void {
    for (let y = 0; y < this.height; y += 1)
      for (let x = 0; x < this.width; x += 1) {
        const colour = at(x, y);
        if (colour) this.data.set(colour, (y * this.width + x) * 4);
      }
  }
  disc(cx: number, cy: number, r: number, colour: Colour): this {
    this.fill((x, y) => (Math.hypot(x - cx, y - cy) <= r ? colour : null));
    return this;
  }
  ring(cx: number, cy: number, r: number, wide: number, colour: Colour = INK): this {
    this.fill((x, y) => (Math.abs(Math.hypot(x - cx, y - cy) - r) <= wide / 2 ? colour : null));
    return this;
  }
  box(left: number, top: number, right: number, bottom: number, colour: Colour): this {
    this.fill((x, y) => (x >= left && x <= right && y >= top && y <= bottom ? colour : null));
    return this;
  }
  frame(left: number, top: number, right: number, bottom: number, wide = 4): this {
    return this.box(left, top, right, top + wide, INK)
      .box(left, bottom - wide, right, bottom, INK)
      .box(left, top, left + wide, bottom, INK)
      .box(right - wide, top, right, bottom, INK);
  }
  async base64(): Promise<string> {
    const drawn = sharp(this.data, { raw: { width: this.width, height: this.height, channels: 4 } });
    return (await drawn.jpeg({ quality: 82 }).toBuffer()).toString('base64');
  }
}

/** A caliper piston from the side: its seal groove, and three pits where new pads would put the seal. */
export function pittedPiston(): Promise<string> {
  const sheet = new Sheet(960, 720).box(300, 150, 660, 570, SHADE).frame(300, 150, 660, 570, 6).box(300, 470, 660, 490, INK);
  for (const [x, y, r] of [
    [420, 330, 11],
    [505, 352, 8],
    [560, 318, 13],
  ] as const)
    sheet.disc(x, y, r, COPPER).ring(x, y, r, 3);
  return sheet.ring(490, 335, 120, 4, COPPER).base64();
}

/** What was laid out: two sets of pads, a ring of seals and a hose. */
export function laidOut(): Promise<string> {
  const sheet = new Sheet(960, 720);
  for (const [left, top] of [
    [90, 120],
    [90, 320],
    [330, 120],
    [330, 320],
  ] as const)
    sheet
      .box(left, top, left + 190, top + 120, SHADE)
      .frame(left, top, left + 190, top + 120)
      .box(left + 14, top + 70, left + 176, top + 106, INK);
  for (const r of [70, 52, 34]) sheet.ring(720, 240, r, 8);
  sheet.box(600, 470, 860, 500, COPPER).box(575, 458, 605, 512, INK).box(855, 458, 885, 512, INK);
  return sheet.base64();
}
