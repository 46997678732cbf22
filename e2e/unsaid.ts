import { demoJournal } from '@hypogeon/core/demo';
import { CATALOGUE } from '@hypogeon/core/botany';
import type { Page } from '@playwright/test';
import { DAY } from './bench-test';

/** Every text that stands in a value, however deep. */
function textsIn(value: unknown): readonly string[] {
  if (typeof value === 'string') return [value];
  if (value === null || typeof value !== 'object') return [];
  return Object.values(value).flatMap(textsIn);
}

/** What is no message: the grower's own words, and names in Latin. Longest first, so that none leaves a part of another. */
const NOT_SAID: readonly string[] = [
  ...new Set([
    ...textsIn(demoJournal(DAY)).flatMap((text) => [text, ...text.split(/, | or /)]),
    ...CATALOGUE.flatMap((t) => [t.name, t.family, ...t.synonyms, t.name.split(' ')[0]!]),
    ...CATALOGUE.map((t) => t.name.split(' ').slice(1).join(' ')),
  ]),
]
  .filter((text) => /[a-z]{3}/i.test(text))
  .sort((a, b) => b.length - a.length);

const DAYS_AND_MONTHS =
  /\b(Mon|Tue|Wed|Thu|Fri|Sat|Sun|Monday|Tuesday|Wednesday|Thursday|Friday|Saturday|Sunday|Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec|January|February|March|April|June|July|August|September|October|November|December)\b/g;

/** A batch's code, a money by its name and code, units, a paper, and the product's own name. */
const CODES = /\b[A-Z]{3}-[A-Z0-9]{3}\b|^.* \([A-Z]{3}\)$|\b(Hypogeon|[kM]?Pa|CSV|mol|Letter)\b/g;

/** What a page says that is no message, in the pseudo-language. @param within where it is looked for */
export async function unsaid(page: Page, within = 'body'): Promise<readonly string[]> {
  const left = await page.evaluate((where) => {
    const unmarked = (text: string): string => {
      let deep = 0;
      let out = '';
      for (const sign of text)
        if (sign === '⟦') deep++;
        else if (sign === '⟧') deep--;
        else if (deep === 0) out += sign;
      return out.replace(/\s+/g, ' ').trim();
    };
    const root = document.querySelector(where);
    if (!root) return [];
    const found: string[] = [];
    const walker = document.createTreeWalker(root, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) {
      const node = walker.currentNode as Text;
      if (!node.parentElement!.closest('script, style, noscript, [lang]:not(html)'))
        found.push(unmarked(node.data));
    }
    const NAMED = [
      'aria-label',
      'aria-description',
      'aria-valuetext',
      'title',
      'placeholder',
      'alt',
    ];
    for (const name of NAMED)
      for (const of of root.querySelectorAll(`[${name}]:not([lang]:not(html) *)`))
        found.push(unmarked(of.getAttribute(name)!));
    return [...new Set(found)];
  }, within);
  return left.filter((text) => /[a-z]{3}/i.test(ownWordsOut(text)));
}

function ownWordsOut(text: string): string {
  // What is too long for a label ends in dots.
  const cut = text.endsWith('…') ? text.slice(0, -1) : null;
  if (cut && NOT_SAID.some((own) => own.startsWith(cut))) return '';
  let rest = text.replace(CODES, ' ');
  for (const own of NOT_SAID) if (rest.includes(own)) rest = rest.split(own).join(' ');
  return rest.replace(DAYS_AND_MONTHS, ' ');
}
