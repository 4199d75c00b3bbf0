import FFT from 'fft.js';

/** Complex numbers of a field, real and imaginary parts side by side, in rows. */
export type Field = Float64Array<ArrayBuffer>;

/** Rows and columns change places. */
function transpose(from: Field, to: Field, width: number, height: number): void {
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const a = 2 * (y * width + x);
      const b = 2 * (x * height + y);
      to[b] = from[a] ?? 0;
      to[b + 1] = from[a + 1] ?? 0;
    }
}

/** Fourier transforms of fields of one size, both sides powers of two. Spectra have their rows and columns changed about. */
export function fourier(width: number, height: number) {
  const [across, down] = [new FFT(width), new FFT(height)];
  const scratch: Field = new Float64Array(2 * width * height);
  const row = (field: Field, y: number, length: number): Field => field.subarray(2 * length * y, 2 * length * (y + 1)); // prettier-ignore
  return {
    /** @param usedRows rows beyond these are empty. The field is overwritten. */
    forward(field: Field, spectrum: Field, usedRows = height): void {
      for (let y = 0; y < usedRows; y++) across.transform(row(spectrum, y, width), row(field, y, width));
      spectrum.fill(0, 2 * width * usedRows);
      transpose(spectrum, scratch, width, height);
      for (let x = 0; x < width; x++) down.transform(row(spectrum, x, height), row(scratch, x, height));
    },
    /** The spectrum is overwritten. */
    inverse(spectrum: Field, field: Field): void {
      for (let x = 0; x < width; x++)
        down.inverseTransform(row(scratch, x, height), row(spectrum, x, height));
      transpose(scratch, spectrum, height, width);
      for (let y = 0; y < height; y++) across.inverseTransform(row(field, y, width), row(spectrum, y, width));
    },
  };
}
