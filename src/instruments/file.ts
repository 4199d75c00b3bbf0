/** Hands a file to the browser's own download. */
export const download = (bytes: Uint8Array | string, name: string, type: string): void =>
  downloadBlob(new Blob([typeof bytes === 'string' ? bytes : new Uint8Array(bytes)], { type }), name);

/** As `download`, of a file that may be larger than memory. */
export function downloadBlob(blob: Blob, name: string): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The download has its own hold on the data after a moment.
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
}
