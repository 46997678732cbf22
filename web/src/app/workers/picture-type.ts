const SIGNS: readonly (readonly [type: string, at: number, bytes: readonly number[]])[] = [
  ['image/jpeg', 0, [0xff, 0xd8, 0xff]],
  ['image/png', 0, [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]],
  ['image/gif', 0, [0x47, 0x49, 0x46, 0x38]],
  ['image/webp', 8, [0x57, 0x45, 0x42, 0x50]],
];

/**
 * What kind of picture bytes are, by how they begin; null where they are none.
 * Source: the signatures of JFIF, PNG (ISO/IEC 15948), GIF89a and RIFF/WebP (from memory).
 */
export function pictureType(bytes: Uint8Array): string | null {
  const found = SIGNS.find(([, at, sign]) => sign.every((b, i) => bytes[at + i] === b));
  return found?.[0] ?? null;
}
