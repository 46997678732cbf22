import jsQR from 'jsqr';

export interface Shrunk {
  readonly blob: Blob;
  readonly width: number;
  readonly height: number;
}

/** More than this a code needs not, and a phone takes long to look through. */
const SCAN_SIDE = 1200;

/** Pictures off the screen's thread. */
export const pictures = {
  /** No side longer than asked, as JPEG; the camera's own data (where, when, whose) stays behind. */
  async shrink(file: Blob, side: number, quality: number): Promise<Shrunk> {
    const image = await createImageBitmap(file);
    const { width, height } = within(image, side);
    const canvas = new OffscreenCanvas(width, height);
    canvas.getContext('2d')!.drawImage(image, 0, 0, width, height);
    image.close();
    return { blob: await canvas.convertToBlob({ type: 'image/jpeg', quality }), width, height };
  },

  /** The text of a QR code in a picture; null if none is seen. */
  async scan(file: Blob): Promise<string | null> {
    const image = await createImageBitmap(file);
    const { width, height } = within(image, SCAN_SIDE);
    const context = new OffscreenCanvas(width, height).getContext('2d', {
      willReadFrequently: true,
    })!;
    context.drawImage(image, 0, 0, width, height);
    image.close();
    const { data } = context.getImageData(0, 0, width, height);
    return jsQR(data, width, height)?.data ?? null;
  },

  /** The same in a frame of the camera. */
  scanFrame(data: Uint8ClampedArray, width: number, height: number): string | null {
    return jsQR(data, width, height)?.data ?? null;
  },
};

function within({ width, height }: ImageBitmap, side: number): { width: number; height: number } {
  const scale = Math.min(1, side / Math.max(width, height));
  return { width: Math.round(width * scale), height: Math.round(height * scale) };
}

export type PicturesWorker = typeof pictures;
