import { computed, inject, Injectable } from '@angular/core';
import { addDays, daysBetween, isDay } from '@hypogeon/core/days';
import { givingOf, waysTo, wouldDo, type Wish } from '@hypogeon/core/plan';
import { say } from '@hypogeon/messages/plan-wish';
import { Words } from '../data/words';
import { PlanDesk } from './plan-desk';
import { numberOrNone } from './dry-days';

/** Days that a wish without a day is given. */
const USUAL_TIME = 90;
const MOST_WANTED = 5000;
const MOST_PIECES = 10_000;
const MOST_AHEAD = 1000;

/** What the plan is for, and what the plant's ways come to for it. One to a page. */
@Injectable()
export class PlanWish {
  private readonly desk = inject(PlanDesk);
  private readonly words = inject(Words);

  readonly by = computed(() => this.desk.draft().by || addDays(this.desk.cutOn(), USUAL_TIME));

  readonly problems = computed(() => {
    const { want, by, have, purpose } = this.desk.draft();
    return {
      have: purpose === 'have' ? this.wholeProblem(have, MOST_PIECES, say.inOneBatchMake()) : '',
      want: purpose === 'want' ? this.wholeProblem(want, MOST_WANTED, say.atOnceMakeSeveral()) : '',
      by: by === '' ? '' : this.dayProblem(by),
    };
  });
  readonly wrong = computed(() => Object.values(this.problems()).some((problem) => problem !== ''));

  private dayProblem(by: string): string {
    const cutOn = this.desk.cutOn();
    if (!isDay(by)) return say.thatIsNotA();
    if (by <= cutOn) return say.beforeTheCutCan({ day: this.words.day(cutOn) });
    return daysBetween(cutOn, by) > MOST_AHEAD ? say.moreThanThreeYears() : '';
  }

  readonly wish = computed<Wish | null>(() => {
    const plant = this.desk.plant();
    const draft = this.desk.draft();
    const { want, size, sure, purpose, container, mix, mother, method, course } = draft;
    const days = numberOrNone(draft.dryDays);
    if (!plant || this.problems().by || this.desk.space() === '' || this.desk.cutOnProblem())
      return null;
    if (purpose === 'want' && (want.trim() === '' || this.problems().want)) return null;
    return {
      taxon: plant.id,
      mother,
      ...(container ? { container } : {}),
      ...(mix ? { mix } : {}),
      count: purpose === 'want' ? Number(want) : 1,
      size,
      by: this.by(),
      certainty: Number(sure) / 100,
      cutOn: this.desk.cutOn(),
      space: this.desk.space(),
      callusSpace: this.desk.callusSpace(),
      ...(draft.school ? { school: draft.school } : {}),
      ...(days === undefined ? {} : { dryDays: days }),
      ...(method && course ? { courses: { [method]: course } } : {}),
    };
  });

  readonly ways = computed(() => {
    const wish = this.wish();
    return wish && this.desk.draft().purpose === 'want' ? waysTo(this.desk.state(), wish) : null;
  });

  readonly haveMethod = computed(
    () => this.desk.draft().haveMethod || this.desk.methods()[0]?.method,
  );

  /** What it can spare, or what lies there, comes to. */
  readonly givings = computed(() => {
    const wish = this.wish();
    const { purpose, have } = this.desk.draft();
    if (!wish || purpose === 'want') return null;
    if (purpose === 'safe') return givingOf(this.desk.state(), wish, null);
    const method = this.haveMethod();
    if (method === undefined || have.trim() === '' || this.problems().have) return null;
    return givingOf(this.desk.state(), wish, { [method]: Number(have) });
  });

  /** What would do where she does not give so many by then; null where she does, or nothing is wanted. */
  readonly would = computed(() => {
    const [ways, wish] = [this.ways(), this.wish()];
    if (!ways || !wish || ways.best !== null || ways.together?.enough) return null;
    return wouldDo(this.desk.state(), wish, ways.ways);
  });

  /** Several ways are taken together: chosen so, or nothing else is enough and nobody chose. */
  readonly together = computed(() => {
    const { method, together } = this.desk.draft();
    const combination = this.ways()?.together ?? null;
    return combination && (together || method === '') ? combination : null;
  });

  /** What is wrong with a whole number as typed; nothing where it is empty or good. */
  private wholeProblem(typed: string, most: number, more: string): string {
    if (typed.trim() === '') return '';
    const count = Number(typed);
    if (!Number.isInteger(count) || count < 1) return say.aWholeNumberOf();
    return count > most ? say.atMost({ number: this.words.number(most), more }) : '';
  }
}
