import { COURSE, type Course } from '@hypogeon/core/course';
import type { Ask, CareLines, Leave, NextLook } from '@hypogeon/core/care';
import * as say from '@hypogeon/messages/lines';
import { capital } from './capital';
import { askText, lateText, leaveReason, leaveText } from './care';
import { reasonText } from './reasons';
import { COURSE_WORDS } from './courses';
import { nearDay } from './days';
import type { Speech } from './speech';

/** One line of a batch: what, on one day, and one reason. */
export interface Said {
  readonly what: string;
  readonly why: string;
  /** There is nothing of the kind: it is not said aloud. */
  readonly none?: true;
}

export interface LinesText {
  readonly deeds: readonly Said[];
  readonly water: readonly Said[];
  readonly look: readonly Said[];
  readonly leave: readonly Said[];
}

/** What a batch is read by at a glance, in words. */
export function linesText(lines: CareLines, speech: Speech): LinesText {
  const { deeds, leave, untouched } = lines;
  return {
    deeds: deeds.map((a) => asked(a, speech)),
    water: waterText(lines, speech),
    look: lookText(lines, speech),
    leave: [
      ...leave.map((l) => left(l, speech)),
      ...(untouched === null || leave.length > 0 ? [] : [untouchedText(untouched, speech)]),
      ...(untouched === null && leave.length === 0 ? [NOTHING] : []),
    ],
  };
}

const NOTHING: Said = {
  get what() {
    return say.nothingToLeaveAlone();
  },
  why: '',
  none: true,
};

function asked(ask: Ask, speech: Speech): Said {
  const what = [askText(ask, speech), lateText(ask)].filter(Boolean).join(', ');
  return { what, why: reasonText(ask.reason, speech) };
}

const left = (leave: Leave, speech: Speech): Said => ({
  what: leaveText(leave, speech),
  why: leaveReason(leave, speech),
});

/** What comes before any water: `First it dries and is set.`, `First it is sown.` */
function firstSet({ course, method, leave }: CareLines): string {
  const set =
    method === 'seed'
      ? say.sown()
      : say.setWord({ setTo: COURSE_WORDS[course].setTo ?? '' }).trim();
  const dries = leave.some((l) => l.kind === 'drying');
  return say.firstItIs({ what: dries ? say.driesAnd() : '', set });
}

function waterText(lines: CareLines, speech: Speech): readonly Said[] {
  const { water } = lines;
  switch (water.is) {
    case 'now':
      return water.asks.map((a) => asked(a, speech));
    case 'not before':
      return [
        {
          what: say.notBefore({ nearDay: nearDay(water.day, speech) }),
          why: water.leave === null ? firstSet(lines) : leaveReason(water.leave, speech),
        },
      ];
    case 'jar':
      return [left(water.leave, speech)];
    case 'waits':
      return [
        {
          what: say.notYet(),
          why:
            water.for === 'stick'
              ? firstSet(lines)
              : say.firstItIs2({ what: lines.method === 'seed' ? say.gathered() : say.cut() }),
        },
      ];
    case 'free':
      return [{ what: say.nothingDue(), why: '', none: true }];
  }
}

function lookText(lines: CareLines, speech: Speech): readonly Said[] {
  const { look, untouched } = lines;
  switch (look.is) {
    case 'now':
      return look.asks.map((a) => asked(a, speech));
    case 'next':
      return [
        {
          what: capital(nearDay(look.look.day, speech)),
          why: [latestText(look.look, speech), halfText(lines, look.look, speech)]
            .filter(Boolean)
            .join(' '),
        },
      ];
    case 'nothing':
      return [
        untouched === null
          ? { what: say.nothingToLookFor(), why: '', none: true }
          : { what: capital(nearDay(untouched.until, speech)), why: '' },
      ];
  }
}

const latestText = ({ day, latest }: NextLook, speech: Speech): string =>
  latest > day ? say.isSoonEnough({ nearDay: capital(nearDay(latest, speech)) }) : '';

/** When half of those that come have come: what is looked for is roots, shoots, seedlings, or a hold. */
function halfText({ course }: CareLines, { ahead }: NextLook, speech: Speech): string {
  if (ahead.for !== 'roots') return '';
  return say.by({ half: HALF[COURSE[course].shows], nearDay: nearDay(ahead.half, speech) });
}

const HALF: Readonly<Record<Course['shows'], string>> = {
  get roots() {
    return say.halfOfThoseThat();
  },
  get 'root points'() {
    return say.halfOfThoseThat();
  },
  get 'new growth'() {
    return say.halfOfThoseThatTake();
  },
  get shoots() {
    return say.halfOfThoseThatShoot();
  },
  get seedlings() {
    return say.halfOfThoseThatCome();
  },
};

const untouchedText = (leave: Leave, speech: Speech): Said => ({
  what: say.thePiecesUntil({ nearDay: nearDay(leave.until, speech) }),
  why: reasonText(leave.reason, speech),
});
