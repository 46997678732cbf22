import { courseOf } from '@hypogeon/core/bench';
import { METHOD } from '@hypogeon/core/botany';
import { careOf } from '@hypogeon/core/care';
import { fold } from '@hypogeon/core/journal';
import { anyLife, entriesOf, LIFE_DAYS, storyDay } from '@hypogeon/core/testing';
import { askText, leaveReason, leaveText, reasonText, speechFor } from '@hypogeon/words';
import * as fc from 'fast-check';

/*
 * Every kind of sentence that care says, with the pieces and courses it is said of: made to be read from top to
 * bottom. Lives are drawn with a seed; numbers, days and names are left out, so that what is the same stands once.
 */

const [lives = '1500'] = process.argv.slice(2);
const STYLE = { locale: 'en-GB', today: storyDay(0) };

/** By what is asked or left alone: the sentence, and of whom it is said. */
const said = new Map<string, Map<string, Set<string>>>();
const note = (kind: string, sentence: string, of: string): void => {
  const sentences = said.get(kind) ?? new Map<string, Set<string>>();
  said.set(kind, sentences);
  const plain = sentence
    .replace(/\b(Mon|Tue|Wed|Thu|Fri|Sat|Sun) \d+ \w+( \d{4})?/g, '(day)')
    .replace(/\d+([.,–-]\d+)*/g, '#')
    .replace(/\s+/g, ' ');
  sentences.set(plain, (sentences.get(plain) ?? new Set()).add(of));
};

for (const life of fc.sample(anyLife, { numRuns: Number(lives), seed: 2026 })) {
  const all = entriesOf(life);
  let state = fold([]);
  let known = 0;
  for (let n = 0; n < LIFE_DAYS; n++) {
    const day = storyDay(n);
    // What is told later is not known yet.
    const told = all.filter((entry) => entry.day <= day);
    if (told.length !== known) state = fold(told);
    known = told.length;
    const batch = state.batches.get('b1');
    if (!batch?.cut) continue;
    if (batch.ended !== null && day >= batch.ended) break;
    const speech = speechFor(state, { ...STYLE, today: day });
    const { asks, leave } = careOf(state, batch, day);
    const of = `${METHOD[batch.method].many} (${courseOf(state, batch)})`;
    for (const ask of asks)
      note(ask.kind, `${askText(ask, speech)} — ${reasonText(ask.reason, speech)}`, of);
    for (const one of leave)
      note(`leave: ${one.kind}`, `${leaveText(one, speech)} — ${leaveReason(one, speech)}`, of);
  }
}

const lines = [
  '# What care says',
  '',
  'Each kind of sentence once, with the pieces and courses it is said of.',
  '',
];
for (const [kind, sentences] of [...said].sort(([a], [b]) => a.localeCompare(b))) {
  lines.push(`## ${kind}`, '');
  for (const [sentence, of] of [...sentences].sort(([a], [b]) => a.localeCompare(b)))
    lines.push(`- ${sentence}  \n  ${[...of].sort().join(', ')}`);
  lines.push('');
}
console.log(lines.join('\n'));
