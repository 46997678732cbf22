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
    return codeIn(context.getImageData(0, 0, width, height));
  },

  /** The same in a frame of the camera. */
  scanFrame(
    data: Uint8ClampedArray<ArrayBuffer>,
    width: number,
    height: number,
  ): Promise<string | null> {
    return codeIn(new ImageData(data, width, height));
  },
};

/** The browser's own eye for codes; phones have one, and not every laptop. */
interface CodeDetector {
  detect(image: ImageData): Promise<readonly { readonly rawValue: string }[]>;
}
const Detector = (globalThis as { BarcodeDetector?: new (o: object) => CodeDetector })
  .BarcodeDetector;

async function codeIn(image: ImageData): Promise<string | null> {
  if (Detector) {
    try {
      const [seen] = await new Detector({ formats: ['qr_code'] }).detect(image);
      return seen?.rawValue ?? null;
    } catch (error) {
      console.warn('the browser’s own reader of codes', error);
    }
  }
  const { default: jsQR } = await import('jsqr');
  return jsQR(image.data, image.width, image.height)?.data ?? null;
}

function within({ width, height }: ImageBitmap, side: number): { width: number; height: number } {
  const scale = Math.min(1, side / Math.max(width, height));
  return { width: Math.round(width * scale), height: Math.round(height * scale) };
}

export type PicturesWorker = typeof pictures;
