import { expect, test } from './bench-test';

/** How the outline of a piece is painted where a mark uses it. */
const outline = (is: string) => {
  const use = document.querySelector(`svg.${is} use.piece`)!;
  const stroke = document.querySelector(use.getAttribute('href')!)!.lastElementChild!;
  // Strokes within a use cannot be asked: one is put where it stands.
  const stand = document.createElementNS('http://www.w3.org/2000/svg', 'g');
  for (const { name, value } of use.attributes) stand.setAttribute(name, value);
  const used = stand.appendChild(stroke.cloneNode() as SVGElement);
  use.after(stand);
  const { strokeDasharray, vectorEffect, strokeLinejoin } = getComputedStyle(used);
  stand.remove();
  return { strokeDasharray, vectorEffect, strokeLinejoin };
};

test('losses are told by their outline, and lines stay as thin at every size', async ({ page }) => {
  await page.goto('/#/marks');
  await expect(page.locator('svg.dried use.piece').first()).toBeAttached();
  const every = { vectorEffect: 'non-scaling-stroke', strokeLinejoin: 'round' };
  expect(await page.evaluate(outline, 'alive')).toEqual({ ...every, strokeDasharray: 'none' });
  expect(await page.evaluate(outline, 'dried')).toEqual({
    ...every,
    strokeDasharray: '2.2px, 3.4px',
  });
  expect(await page.evaluate(outline, 'lost')).toEqual({ ...every, strokeDasharray: '0.1px, 4px' });
});

test('a tray is painted from a few pictures, in the colours of its theme', async ({ page }) => {
  await page.emulateMedia({ colorScheme: 'light' });
  await page.goto('/#/bench/trays/t-mat');
  const cells = page.locator('[data-cell] img');
  await expect(cells.first()).toHaveAttribute('src', /^data:image\/svg/);
  const pictures = () =>
    cells.evaluateAll((all) => all.map((img) => (img as HTMLImageElement).src));
  const byDay = await pictures();
  expect(byDay.length).toBeGreaterThan(20);
  expect(new Set(byDay).size).toBeLessThan(8);
  for (const img of await cells.all()) expect(await img.evaluate(painted)).toBe(true);
  await page.emulateMedia({ colorScheme: 'dark' });
  await expect(async () => {
    const byLamp = await pictures();
    byLamp.forEach((src, i) => expect(src).not.toBe(byDay[i]));
  }).toPass();
});

/** Something of it is seen: not an empty field. */
async function painted(img: HTMLImageElement | SVGElement | HTMLElement): Promise<boolean> {
  const picture = img as HTMLImageElement;
  await picture.decode();
  const canvas = new OffscreenCanvas(40, 40);
  const pen = canvas.getContext('2d')!;
  pen.drawImage(picture, 0, 0, 40, 40);
  const { data } = pen.getImageData(0, 0, 40, 40);
  const seen = data.filter((value, i) => i % 4 === 3 && value > 200).length;
  return seen > 100;
}
