import { Unzip, UnzipInflate, UnzipPassThrough } from 'fflate';
import { say } from '@hypogeon/messages/unzip';

/** What a zip may unpack to at most: a season's pictures and a journal of a lifetime stay under it. */
export const MOST_UNPACKED = 800_000_000;
const MOST_FILES = 20_000;
/** Fed in slices, so that a bomb is seen before it has gone off. */
const SLICE = 65_536;

export type UnpackedFiles =
  | { readonly ok: true; readonly files: ReadonlyMap<string, Uint8Array> }
  | { readonly ok: false; readonly problem: string };

/** A zip was refused; thrown within this file, never out of it. */
class Refused extends Error {}

/**
 * The files of a zip that are wanted. Their declared sizes are held against the limits first, and what really comes
 * out while it comes: a file that lies about its size is refused too.
 * @param most unpacked bytes of one file by its name; null where it is not wanted
 */
export function unpack(
  zip: Uint8Array,
  most: (name: string) => number | null,
  total = MOST_UNPACKED,
): UnpackedFiles {
  const files = new Map<string, Uint8Array>();
  const open = new Set<string>();
  let declared = 0;
  let real = 0;
  let seen = 0;
  const reader = new Unzip((file) => {
    if (++seen > MOST_FILES) throw new Refused(say.thisZipHoldsMore({ mostFiles: MOST_FILES }));
    const limit = most(file.name);
    if (limit === null) return;
    declared += file.originalSize ?? 0;
    if ((file.originalSize ?? 0) > limit || declared > total) throw tooLarge(file.name, limit);
    const parts: Uint8Array[] = [];
    let size = 0;
    open.add(file.name);
    file.ondata = (error, data, final) => {
      if (error) throw error;
      size += data.length;
      real += data.length;
      if (size > limit || real > total) throw tooLarge(file.name, limit);
      parts.push(data);
      if (!final) return;
      open.delete(file.name);
      files.set(file.name, joined(parts, size));
    };
    file.start();
  });
  reader.register(UnzipInflate);
  reader.register(UnzipPassThrough);
  try {
    if (zip[0] !== 0x50 || zip[1] !== 0x4b) throw new Error('no zip');
    for (let at = 0; at < zip.length; at += SLICE)
      reader.push(zip.subarray(at, at + SLICE), at + SLICE >= zip.length);
    if (open.size > 0) throw new Error('cut off');
    return { ok: true, files };
  } catch (error) {
    return {
      ok: false,
      problem: error instanceof Refused ? error.message : say.thisZipIsDamaged(),
    };
  }
}

const tooLarge = (name: string, limit: number): Refused =>
  new Refused(
    say.wouldUnpackToMore({
      name: name.slice(0, 80),
      e6: Math.round(limit / 1e6),
      e62: Math.round(MOST_UNPACKED / 1e6),
    }),
  );

function joined(parts: readonly Uint8Array[], size: number): Uint8Array {
  const [only, ...more] = parts;
  if (only && more.length === 0) return only;
  const whole = new Uint8Array(size);
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}
