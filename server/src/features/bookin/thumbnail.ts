import jpeg from 'jpeg-js';

interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array;
}

/** Makes an image smaller: each point the mean of those it stands for. */
function smaller({ width, height, data }: Pixels, side: number): Pixels {
  const scale = Math.max(1, Math.max(width, height) / side);
  const [w, h] = [Math.max(1, Math.round(width / scale)), Math.max(1, Math.round(height / scale))];
  const out = new Uint8Array(w * h * 4);
  for (let y = 0; y < h; y += 1) {
    const [top, bottom] = [Math.floor((y * height) / h), Math.max(Math.floor((y * height) / h) + 1, Math.floor(((y + 1) * height) / h))];
    for (let x = 0; x < w; x += 1) {
      const [left, right] = [Math.floor((x * width) / w), Math.max(Math.floor((x * width) / w) + 1, Math.floor(((x + 1) * width) / w))];
      const sum = [0, 0, 0];
      for (let v = top; v < bottom; v += 1)
        for (let u = left; u < right; u += 1) for (let c = 0; c < 3; c += 1) sum[c] = (sum[c] ?? 0) + (data[(v * width + u) * 4 + c] ?? 0);
      const n = (bottom - top) * (right - left);
      for (let c = 0; c < 3; c += 1) out[(y * w + x) * 4 + c] = Math.round((sum[c] ?? 0) / n);
      out[(y * w + x) * 4 + 3] = 255;
    }
  }
  return { width: w, height: h, data: out };
}

/**
 * Decodes an image to its end and makes it smaller.
 * @param side longest side of what comes out, px
 * @throws Error where it cannot be decoded
 */
export function thumbnail(bytes: Uint8Array, side: number): Uint8Array {
  const decoded = jpeg.decode(bytes, { useTArray: true, maxResolutionInMP: 17, maxMemoryUsageInMB: 400, tolerantDecoding: false });
  return new Uint8Array(jpeg.encode(smaller(decoded, side), 78).data);
}
