/** What a drawing takes from the page's styles and would lose in a file of its own. */
const CARRIED = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linejoin',
  'stroke-linecap',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
] as const;

/** A drawing of the page as a file that stands by itself: styles written out, hatchings taken along. */
export function svgText(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  carry(svg, copy);
  const box = svg.viewBox.baseVal as SVGRect | null;
  const [width, height] = box ? [box.width, box.height] : [720, 320];
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  const ground = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  ground.setAttribute('width', String(width));
  ground.setAttribute('height', String(height));
  ground.setAttribute('fill', getComputedStyle(document.body).backgroundColor || '#fff');
  copy.prepend(ground, hatchings(copy));
  return new XMLSerializer().serializeToString(copy);
}

function carry(from: Element, to: Element): void {
  const style = getComputedStyle(from);
  const written = CARRIED.flatMap((name) => {
    const value = style.getPropertyValue(name);
    return value === '' ? [] : [`${name}:${value}`];
  });
  if (written.length > 0) to.setAttribute('style', written.join(';'));
  [...from.children].forEach((child, i) => {
    const twin = to.children[i];
    if (twin) carry(child, twin);
  });
}

/** The patterns that the drawing points to lie elsewhere in the page. */
function hatchings(copy: SVGSVGElement): SVGDefsElement {
  const defs = document.createElementNS('http://www.w3.org/2000/svg', 'defs');
  const text = copy.outerHTML;
  for (const pattern of document.querySelectorAll('pattern[id], clipPath[id]')) {
    if (!text.includes(`#${pattern.id}`)) continue;
    const twin = pattern.cloneNode(true) as Element;
    carry(pattern, twin);
    defs.append(twin);
  }
  return defs;
}

/** The same as a picture of twice the size. */
export async function pngOf(text: string): Promise<Blob> {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(text)}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = image.width * 2;
  canvas.height = image.height * 2;
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('no picture'))), 'image/png'),
  );
}
