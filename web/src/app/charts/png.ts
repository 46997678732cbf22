/**
 * A drawing as a picture of twice its size.
 * @param text the SVG
 * @param ground colour behind it
 * @throws Error where the browser does not draw it
 */
export async function pngOf(text: string, ground: string): Promise<Blob> {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(text)}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = image.width * 2;
  canvas.height = image.height * 2;
  const pen = canvas.getContext('2d')!;
  pen.fillStyle = ground;
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('no picture'))), 'image/png'),
  );
}
