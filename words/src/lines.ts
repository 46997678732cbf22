import { COURSE, type Course } from '@hypogeon/core/course';
import type { Ask, CareLines, Leave, NextLook } from '@hypogeon/core/care';
import { capital } from './capital';
import { askText, lateText, leaveReason, leaveText, reasonText } from './care';
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

const NOTHING: Said = { what: 'Nothing to leave alone', why: '', none: true };

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
  const set = method === 'seed' ? 'sown' : `set ${COURSE_WORDS[course].setTo ?? ''}`.trim();
  const dries = leave.some((l) => l.kind === 'drying');
  return `First it ${dries ? 'dries and ' : ''}is ${set}.`;
}

function waterText(lines: CareLines, speech: Speech): readonly Said[] {
  const { water } = lines;
  switch (water.is) {
    case 'now':
      return water.asks.map((a) => asked(a, speech));
    case 'not before':
      return [
        {
          what: `Not before ${nearDay(water.day, speech)}`,
          why: water.leave === null ? firstSet(lines) : leaveReason(water.leave, speech),
        },
      ];
    case 'jar':
      return [left(water.leave, speech)];
    case 'waits':
      return [
        {
          what: 'Not yet',
          why:
            water.for === 'stick'
              ? firstSet(lines)
              : `First it is ${lines.method === 'seed' ? 'gathered' : 'cut'}.`,
        },
      ];
    case 'free':
      return [{ what: 'Nothing due', why: '', none: true }];
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
          ? { what: 'Nothing to look for', why: '', none: true }
          : { what: capital(nearDay(untouched.until, speech)), why: '' },
      ];
  }
}

const latestText = ({ day, latest }: NextLook, speech: Speech): string =>
  latest > day ? `${capital(nearDay(latest, speech))} is soon enough.` : '';

/** When half of those that come have come: what is looked for is roots, shoots, seedlings, or a hold. */
function halfText({ course }: CareLines, { ahead }: NextLook, speech: Speech): string {
  if (ahead.for !== 'roots') return '';
  return `${HALF[COURSE[course].shows]} by ${nearDay(ahead.half, speech)}.`;
}

const HALF: Readonly<Record<Course['shows'], string>> = {
  roots: 'Half of those that root have roots',
  'root points': 'Half of those that root have roots',
  'new growth': 'Half of those that take hold have done so',
  shoots: 'Half of those that shoot have shoots',
  seedlings: 'Half of those that come up are up',
};

const untouchedText = (leave: Leave, speech: Speech): Said => ({
  what: `The pieces, until ${nearDay(leave.until, speech)}`,
  why: reasonText(leave.reason, speech),
});
