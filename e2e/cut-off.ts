import type { Page } from '@playwright/test';

/** What is written and cannot be read whole: cut by its own box, or an example longer than its empty field. What is hidden on purpose, and tabs that scroll, are not. */
export const cutOff = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() => {
    const ON_PURPOSE =
      '.cdk-visually-hidden, .mat-mdc-tab-link-container, .mat-mdc-text-field-wrapper, hy-mark, svg *';
    const wide = (e: Element): boolean => e.scrollWidth > e.clientWidth + 1;
    const cuts = (e: Element): boolean => getComputedStyle(e).overflowX === 'hidden';
    const hidden = (e: Element): boolean => {
      for (let up: Element | null = e; up; up = up.parentElement)
        if (up.matches('.cdk-visually-hidden') || getComputedStyle(up).clipPath !== 'none')
          return true;
      return false;
    };
    /** An example in an empty field is cut where it is longer than the field. */
    const pen = document.createElement('canvas').getContext('2d')!;
    const examples = [...document.querySelectorAll<HTMLInputElement>('main input[placeholder]')]
      .filter((input) => input.value === '' && input.clientWidth > 1)
      .filter((input) => {
        const { font, paddingLeft, paddingRight } = getComputedStyle(input);
        pen.font = font;
        const room = input.clientWidth - parseFloat(paddingLeft) - parseFloat(paddingRight);
        return pen.measureText(input.placeholder).width > room + 1;
      })
      .map((input) => `example: ${input.placeholder}`);
    const texts = [...document.querySelectorAll('main *')]
      .filter((e) => e.clientWidth > 1 && wide(e) && cuts(e) && !e.matches(ON_PURPOSE))
      .filter((e) => e.textContent.trim() !== '' && !hidden(e))
      .map((e) => `${e.tagName.toLowerCase()}: ${e.textContent.trim().slice(0, 60)}`);
    return [...examples, ...texts];
  });

/** How wide a page is, px: wider than its window it would scroll sideways. */
export const wideOf = (page: Page): Promise<number> =>
  page.evaluate(() => document.documentElement.scrollWidth);
