// Icons of every size that a home screen asks for, from the one drawing in assets/icon.png.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { PNG } from 'pngjs';

const source = PNG.sync.read(readFileSync('assets/icon.png'));
const GROUND = [0x1c, 0x23, 0x1f];
/** A mask may cut away all but the middle four fifths. */
const SAFE_SHARE = 0.8;

/** The drawing at a size, each pixel the mean of those it covers; `share` of the side, on its own ground. */
function icon(side, share = 1) {
  const out = new PNG({ width: side, height: side });
  const drawn = Math.round(side * share);
  const edge = Math.floor((side - drawn) / 2);
  const step = source.width / drawn;
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) {
      const sum = [0, 0, 0];
      let count = 0;
      const [u, v] = [x - edge, y - edge];
      if (u >= 0 && v >= 0 && u < drawn && v < drawn)
        for (let sy = Math.floor(v * step); sy < Math.max(Math.floor(v * step) + 1, (v + 1) * step); sy++)
          for (let sx = Math.floor(u * step); sx < Math.max(Math.floor(u * step) + 1, (u + 1) * step); sx++) {
            const at = 4 * (sy * source.width + sx);
            for (let c = 0; c < 3; c++) sum[c] += source.data[at + c];
            count++;
          }
      const at = 4 * (y * side + x);
      for (let c = 0; c < 3; c++) out.data[at + c] = count > 0 ? Math.round(sum[c] / count) : GROUND[c];
      out.data[at + 3] = 255;
    }
  return PNG.sync.write(out);
}

mkdirSync('public/icons', { recursive: true });
for (const side of [48, 96, 144, 180, 192, 256, 384, 512])
  writeFileSync(`public/icons/${side}.png`, icon(side));
for (const side of [192, 512]) writeFileSync(`public/icons/maskable-${side}.png`, icon(side, SAFE_SHARE));
