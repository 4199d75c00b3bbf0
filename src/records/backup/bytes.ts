/** Bytes of base64. @throws when it is none */
export function bytesOf(base64: string): Uint8Array<ArrayBuffer> {
  const binary = atob(base64);
  const bytes = new Uint8Array(binary.length);
  for (let i = 0; i < binary.length; i++) bytes[i] = binary.charCodeAt(i);
  return bytes;
}

export function base64Of(bytes: Uint8Array): string {
  const parts: string[] = [];
  for (let i = 0; i < bytes.length; i += 32_768)
    parts.push(String.fromCharCode(...bytes.subarray(i, i + 32_768)));
  return btoa(parts.join(''));
}

const encoder = new TextEncoder();
export const textBytes = (text: string): Uint8Array => encoder.encode(text);

/** @throws TypeError for bytes that are no UTF-8 */
export const textOf = (bytes: Uint8Array): string => new TextDecoder('utf-8', { fatal: true }).decode(bytes);
