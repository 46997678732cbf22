import { COURSE, type CourseId } from '@hypogeon/core/course';
import type { Step } from '@hypogeon/core/care';
import { COURSE_WORDS } from './courses';
import { nearDay } from './days';
import type { Speech } from './speech';

/**
 * What a planned cut comes to, in one breath.
 * @param steps of its course, in order
 * @example `Cut today; set Wed 15 Apr. No water before Sun 19 Apr. Look for roots from 15 May.`
 */
export function planSentence(steps: readonly Step[], course: CourseId, speech: Speech): string {
  const { waits, setTo, firstWater } = COURSE_WORDS[course];
  const { medium } = COURSE[course];
  const near = (s: Dated): string => nearDay(s.from, speech);
  const [cut, set, gate, water, roots] = ORDER.map((id) => steps.find((s) => s.id === id));
  const sentences: string[] = [];
  if (dated(cut)) {
    const cutOn = `Cut ${near(cut)}`;
    if (waits !== undefined) sentences.push(`${cutOn}; ${waits}.`);
    else if (!dated(set)) sentences.push(`${cutOn}.`);
    else {
      const at = set.from === cut.from ? 'at once' : near(set);
      sentences.push(`${cutOn}; ${setTo ?? 'set'} ${at}.`);
    }
  }
  if (gate?.is === 'open')
    sentences.push('The cut does not close here: choose another place to dry it.');
  else if (medium !== 'water') {
    if (!dated(water)) sentences.push('No water until roots show.');
    else if (!dated(gate) || water.from < gate.from) sentences.push(`Water ${near(water)}.`);
    else
      sentences.push(
        firstWater === undefined
          ? `No water before ${near(water)}.`
          : `${firstWater} ${near(water)}.`,
      );
  }
  // What has to be set first is looked at no sooner, though some may root where they lie.
  const first = waits === undefined && dated(set) && dated(roots) && roots.from < set.from;
  if (dated(roots)) sentences.push(`Look for roots from ${near(first ? set : roots)}.`);
  return sentences.join(' ');
}

const ORDER = ['cut', 'stick', 'gate', 'first-water', 'roots'] as const;

type Dated = Extract<Step, { readonly from: string }>;
const dated = (step: Step | undefined): step is Dated => step !== undefined && 'from' in step;
