/** What a file is by its first bytes: a name says nothing. */
export type Sniffed = 'jpeg' | 'png' | 'webp' | 'heic' | 'other';

/** So many bytes are enough to tell. */
export const SNIFF_BYTES = 16;

const starts = (bytes: Uint8Array, at: number, ...values: number[]): boolean =>
  values.every((value, index) => bytes[at + index] === value);

const text = (bytes: Uint8Array, at: number, length: number): string =>
  String.fromCharCode(...bytes.slice(at, at + length));

/** @param bytes the beginning of the file, at least SNIFF_BYTES unless it is shorter */
export function sniff(bytes: Uint8Array): Sniffed {
  if (starts(bytes, 0, 0xff, 0xd8, 0xff)) return 'jpeg';
  if (starts(bytes, 0, 0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a)) return 'png';
  if (text(bytes, 0, 4) === 'RIFF' && text(bytes, 8, 4) === 'WEBP') return 'webp';
  // what phones save under .heic, by its brand
  if (text(bytes, 4, 4) === 'ftyp' && /^(?:hei[cfmsx]|hev[cmsx]|mif1|msf1)$/.test(text(bytes, 8, 4)))
    return 'heic';
  return 'other';
}

export const isPicture = (kind: Sniffed): kind is 'jpeg' | 'png' | 'webp' =>
  kind !== 'heic' && kind !== 'other';
