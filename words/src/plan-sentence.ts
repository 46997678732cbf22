import { COURSE, type CourseId } from '@hypogeon/core/course';
import type { Step } from '@hypogeon/core/care';
import * as say from '@hypogeon/messages/words-plan-sentence';
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
    const cutOn = say.cut({ near: near(cut) });
    if (waits !== undefined) sentences.push(`${cutOn}; ${waits}.`);
    else if (!dated(set)) sentences.push(`${cutOn}.`);
    else {
      const at = set.from === cut.from ? say.atOnce() : near(set);
      sentences.push(`${cutOn}; ${setTo ?? say.setWord()} ${at}.`);
    }
  }
  if (gate?.is === 'open') sentences.push(say.theCutDoesNot());
  else if (medium !== 'water') {
    if (!dated(water)) sentences.push(say.noWaterUntilRoots());
    else if (!dated(gate) || water.from < gate.from)
      sentences.push(say.water({ near: near(water) }));
    else
      sentences.push(
        firstWater === undefined
          ? say.noWaterBefore({ near: near(water) })
          : `${firstWater} ${near(water)}.`,
      );
  }
  // What has to be set first is looked at no sooner, though some may root where they lie.
  const first = waits === undefined && dated(set) && dated(roots) && roots.from < set.from;
  if (dated(roots)) sentences.push(say.lookForRootsFrom({ what: near(first ? set : roots) }));
  return sentences.join(' ');
}

const ORDER = ['cut', 'stick', 'gate', 'first-water', 'roots'] as const;

type Dated = Extract<Step, { readonly from: string }>;
const dated = (step: Step | undefined): step is Dated => step !== undefined && 'from' in step;
