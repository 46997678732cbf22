/** What is painted of a stroke; all else of its style has no say in a picture. */
const PAINTED = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'vector-effect',
  'opacity',
  'clip-path',
] as const;

const LINK = /^url\("?#([^")]+)"?\)$/;

/**
 * A drawing of the page as a picture that stands alone: what it borrows from elsewhere in the page (drawings used, hatchings,
 * colours of the theme) is written into it.
 * @param svg in the page, so that its colours are known; it is left with its borrowed drawings in their places
 * @param size of the picture, px
 * @returns the text of an SVG file
 */
export function flattened(svg: SVGElement, size: number): string {
  const page = svg.ownerDocument;
  for (const use of svg.querySelectorAll('use')) {
    const own = page.createElementNS(svg.namespaceURI, 'g');
    for (const { name, value } of use.attributes)
      if (name !== 'href') own.setAttribute(name, value);
    const drawing = page.getElementById(use.getAttribute('href')!.slice(1));
    for (const stroke of drawing?.children ?? []) own.append(stroke.cloneNode(true));
    use.replaceWith(own);
  }
  const borrowed = new Map<string, Element>();
  const picture = painted(svg, borrowed);
  const defs = page.createElementNS(svg.namespaceURI, 'defs');
  defs.append(...borrowed.values());
  picture.prepend(defs);
  picture.setAttribute('width', String(size));
  picture.setAttribute('height', String(size));
  return new XMLSerializer().serializeToString(picture);
}

/** A copy with its style written out, and into `borrowed` what it points to. */
function painted(element: Element, borrowed: Map<string, Element>): Element {
  const copy = element.cloneNode(false) as Element;
  for (const name of ['class', 'style', 'role', 'aria-label', 'aria-hidden'])
    copy.removeAttribute(name);
  const style = getComputedStyle(element);
  for (const property of PAINTED) {
    const value = style.getPropertyValue(property);
    if (value !== '') copy.setAttribute(property, value);
    const id = LINK.exec(value)?.[1];
    const there = id === undefined ? null : element.ownerDocument.getElementById(id);
    if (id !== undefined && there !== null && !borrowed.has(id))
      borrowed.set(id, painted(there, borrowed));
  }
  copy.append(...[...element.children].map((child) => painted(child, borrowed)));
  return copy;
}
