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
    ...textsIn(demoJournal(DAY)),
    ...CATALOGUE.flatMap((t) => [t.name, t.family, ...t.synonyms, t.name.split(' ')[0]!]),
    ...CATALOGUE.map((t) => t.name.split(' ').slice(1).join(' ')),
  ]),
]
  .filter((text) => /[a-z]{3}/i.test(text))
  .sort((a, b) => b.length - a.length);

const DAYS_AND_MONTHS =
  /\b(Mon|Tue|Wed|Thu|Fri|Sat|Sun|Monday|Tuesday|Wednesday|Thursday|Friday|Saturday|Sunday|Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec|January|February|March|April|June|July|August|September|October|November|December)\b/g;

/** A batch's code, a file's ending, units, and the product's own name. */
const CODES = /\b([A-Z]{3}-[A-Z0-9]{3}|Hypogeon|[kM]?Pa|CSV|JSON|PDF|ZIP|SVG|mol|mml?|mmol)\b/g;

/** What a page says that is no message, in the pseudo-language. */
export async function unsaid(page: Page): Promise<readonly string[]> {
  const left = await page.evaluate(() => {
    const unmarked = (text: string): string => {
      let deep = 0;
      let out = '';
      for (const sign of text)
        if (sign === '⟦') deep++;
        else if (sign === '⟧') deep--;
        else if (deep === 0) out += sign;
      return out.replace(/\s+/g, ' ').trim();
    };
    const found: string[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) {
      const node = walker.currentNode as Text;
      if (!node.parentElement!.closest('script, style, noscript, [lang]:not(html)'))
        found.push(unmarked(node.data));
    }
    const NAMED = ['aria-label', 'aria-description', 'aria-valuetext', 'title', 'placeholder', 'alt'];
    for (const name of NAMED)
      for (const of of document.querySelectorAll(`[${name}]:not([lang]:not(html) *)`))
        found.push(unmarked(of.getAttribute(name)!));
    return [...new Set(found)];
  });
  return left.filter((text) => /[a-z]{3}/i.test(ownWordsOut(text)));
}

function ownWordsOut(text: string): string {
  let rest = text;
  for (const own of NOT_SAID) if (rest.includes(own)) rest = rest.split(own).join(' ');
  return rest.replace(DAYS_AND_MONTHS, ' ').replace(CODES, ' ');
}
