import qrcode from 'qrcode-generator';

/** A QR code as rows of dark (true) and light modules, without the quiet zone. */
export type QrMatrix = readonly (readonly boolean[])[];

/** Light modules around the code. Source: ISO/IEC 18004, 4. */
export const QUIET = 4;

/**
 * A text as a QR code of the smallest size that holds it, level M: 15% may be dirt.
 * Source: ISO/IEC 18004; drawn by the library, read back in the tests by another.
 */
export function qrOf(text: string): QrMatrix {
  const code = qrcode(0, 'M');
  code.addData(text);
  code.make();
  const n = code.getModuleCount();
  return Array.from({ length: n }, (_, row) =>
    Array.from({ length: n }, (__, column) => code.isDark(row, column)),
  );
}

/** The address a label's code opens. @param base where the application is served, with its last slash */
export function labelAddress(base: string, batch: string): string {
  return `${base}#/bench/${encodeURIComponent(batch)}`;
}

/**
 * The batch a scanned text names: the address of any Hypogeon, or a code typed by hand.
 * @returns what stands in the address, or null if it is no label of ours
 */
export function batchInAddress(text: string): string | null {
  const found = /#\/bench\/([^/?#\s]+)/.exec(text)?.[1];
  if (found === undefined) return null;
  try {
    return decodeURIComponent(found);
  } catch {
    return null;
  }
}
