import { careOf, slipOf, type Ask, type Leave, type Reason } from '@hypogeon/core/care';
import { calendarOf } from '@hypogeon/core/formats';
import type { Day } from '@hypogeon/core/days';
import { METHOD, METHODS } from '@hypogeon/core/botany';
import { COURSES } from '@hypogeon/core/course';
import { USUAL_CONTAINERS } from '@hypogeon/core/media';
import { demoJournal } from '@hypogeon/core/demo';
import { fold } from '@hypogeon/core/journal';
import { roundOn, tasksAhead, verdictsOn } from '@hypogeon/core/round';
import type { VerdictReason } from '@hypogeon/core/water';
import ICAL from 'ical.js';
import {
  askText,
  calendarText,
  chanceText,
  closureText,
  COURSE_WORDS,
  drinkText,
  evaporationText,
  lateText,
  leaveReason,
  leaveText,
  reasonText,
  repottingText,
  ruleText,
  slipPlain,
  slipText,
  speechFor,
  stepTitle,
  stepWhen,
  stepWhy,
  sureText,
  verdictReasonText,
  verdictUnlessText,
  volumeText,
  type Speech,
} from '.';
import { METHOD_RULE } from './piece-rules';

const DAY: Day = '2026-04-09';
const state = fold(demoJournal(DAY));
const metric: Speech = speechFor(state, { locale: 'en-GB', today: DAY });
const us: Speech = { ...metric, length: 'in', temperature: 'F' };
const verdicts = verdictsOn(state, DAY);
const cares = [...state.batches.values()].map((b) => ({
  batch: b,
  care: careOf(state, b, DAY, verdicts.get(b.id)),
}));

describe('every sentence of the demo', () => {
  const sentences = (speech: Speech): readonly string[] => [
    ...cares.flatMap(({ batch, care }) => [
      ...care.asks.flatMap((a) => [
        askText(a, speech),
        reasonText(a.reason, speech),
        sureText(a.sure),
      ]),
      ...care.leave.flatMap((l) => [leaveText(l, speech), leaveReason(l, speech)]),
      ...care.steps.flatMap((s) => [
        stepTitle(s, batch, care.course, speech),
        stepWhen(s, speech),
        stepWhy(s, batch, care.course, speech),
      ]),
    ]),
    ...roundOn(state, DAY, verdicts).mothers.map((m) => reasonText(m.reason, speech)),
  ];

  it('says something, without holes', () => {
    const all = sentences(metric);
    expect(all.length).toBeGreaterThan(200);
    for (const text of all) {
      expect(text).not.toMatch(/undefined|NaN|\[object|null| {2}/);
      expect(text.trim()).not.toBe('');
    }
  });

  it('in inches and °F nothing is left in metric', () => {
    for (const text of sentences(us)) expect(text).not.toMatch(/\d (mm|cm|mL|L|°C)\b/);
    for (const text of sentences(metric)) expect(text).not.toMatch(/\d (in(?! 10)|fl oz|qt|°F)\b/);
  });
});

describe('sentences with a quantity, in both systems', () => {
  const cases: readonly (readonly [Reason, metric: RegExp, us: RegExp])[] = [
    [{ why: 'roots-long', mm: 30 }, /Roots of 30 mm/, /Roots of 1\.18 in/],
    [{ why: 'roots-long', mm: null }, /likely 2\.5–5 cm/, /likely 1–2 in/],
    [{ why: 'ready-roots', mm: 41 }, /Roots of 41 mm: 2\.5–5 cm/, /Roots of 1\.61 in: 1–2 in/],
    [
      { why: 'ready-counted', by: 'roots', heads: null },
      /likely past 25 mm/,
      /likely past 0\.98 in/,
    ],
    [
      { why: 'stale', since: '2026-04-04', every: 4, tempC: 23 },
      /at 23 °C every 4 days/,
      /at 73 °F every 4 days/,
    ],
    [
      { why: 'mist', last: '2026-04-07', days: 2, evaporationMm: 2.34, missing: [] },
      /takes 2\.3 mm a day: every 2 days/,
      /takes 0\.09 in a day: every 2 days/,
    ],
    [{ why: 'into-jar', under: 'stem' }, /2–3 cm at most/, /about 1 in/],
    [
      { why: 'verdict', is: { why: 'first-drink', depthMm: 25 } },
      /no deeper than the stem \(25 mm\)/,
      /no deeper than the stem \(1 in\)/,
    ],
    [
      { why: 'verdict', is: { why: 'asks', fill: 0.22, school: 'top-25', days: 3 } },
      /dry to 2\.5 cm for 3 days: 22%/,
      /dry to 1 in for 3 days: 22%/,
    ],
    [
      { why: 'verdict', is: { why: 'holds', fill: 0.6, school: 'top-60', weaning: true } },
      /once it is dry to 6 cm\. Roots from water/,
      /once it is dry to 2 1\/2 in\. Roots from water/,
    ],
  ];
  it.each(cases)('%j', (reason, inMetric, inUs) => {
    expect(reasonText(reason, metric)).toMatch(inMetric);
    expect(reasonText(reason, us)).toMatch(inUs);
  });

  it.each([
    [7.4, '7 mL', '1/4 fl oz'],
    [43, '45 mL', '1 1/2 fl oz'],
    [333, '330 mL', '11 fl oz'],
    [1234, '1.2 L', '1.3 qt'],
    [0.2, '1 mL', '1/4 fl oz'],
  ])('%d mL is %s or %s (NIST Handbook 44: 29.5735 mL the fluid ounce)', (ml, a, b) => {
    expect(volumeText(ml, 'mm')).toBe(a);
    expect(volumeText(ml, 'in')).toBe(b);
  });

  it('a drink of several pots is of each', () => {
    expect(drinkText(43, 3, 'mm')).toBe('about 45 mL each');
    expect(drinkText(43, 1, 'in')).toBe('about 1 1/2 fl oz');
    expect(evaporationText(2.54, 'in')).toBe('0.10 in a day');
  });
});

describe('words for chances and wounds', () => {
  it.each([
    [0.01, 'hardly any'],
    [0.72, 'about 7 in 10'],
    [0.99, 'nearly all'],
  ])('%d is %s', (chance, text) => expect(chanceText(chance)).toBe(text));

  it.each([
    [0, 'still fresh'],
    [0.3, 'a third closed'],
    [0.5, 'half closed'],
    [0.8, 'mostly closed'],
    [1, 'likely closed, not surely'],
  ])('a wound closed to %d is %s', (closure, text) => expect(closureText(closure)).toBe(text));

  it('a day or two is no lateness', () => {
    expect(lateText({ late: 2 })).toBe('');
    expect(lateText({ late: 61 })).toBe('61 days late');
  });
});

describe('reasons of a pot', () => {
  const all: readonly (readonly [VerdictReason, RegExp])[] = [
    [{ why: 'gate-stopped' }, /does not close/],
    [{ why: 'gate-closed' }, /still open/],
    [{ why: 'pool', ml: 33.2 }, /about 35 mL/],
    [{ why: 'first-waits', for: 'roots' }, /until roots show/],
    [{ why: 'first-waits', for: 'days' }, /chosen for later/],
    [{ why: 'first-mist' }, /first mist/],
    [{ why: 'holds', fill: 1.2, school: 'mist', weaning: false }, /surface is still moist/],
    [{ why: 'holds', fill: 1.2, school: 'weekly', weaning: false }, /100% of its water/],
    [{ why: 'overdue', school: 'bone-dry', days: 9 }, /bone dry for 9 days: wrinkling/],
    [
      { why: 'regime', regime: 'sip', rooted: false, sown: false, beside: false, fill: 0.1 },
      /No roots yet/,
    ],
    [
      { why: 'regime', regime: 'base', rooted: true, sown: false, beside: false, fill: 0.1 },
      /at the base of each/,
    ],
    [{ why: 'first-soak' }, /first real drink/],
  ];
  it.each(all)('%j', (reason, text) => expect(verdictReasonText(reason, metric)).toMatch(text));

  it.each([
    [{ what: 'warmer', days: 0, weigh: true } as const, /hardly moves it\. A weighing/],
    [{ what: 'warmer', days: 1, weigh: false } as const, /a day sooner\.$/],
    [{ what: 'tip-out' } as const, /Tip it out/],
  ])('%j would change it', (unless, text) =>
    expect(verdictUnlessText(unless, metric)).toMatch(text),
  );
});

describe('what is missing is named', () => {
  it.each([
    [['pot', 'mix'] as const, /pot and mix are not told/],
    [['mix'] as const, /mix is not told/],
    [[] as const, /^(?!.*told)/],
  ])('%j', (missing, text) => {
    const reason: Reason = {
      why: 'habit',
      last: '2026-04-01',
      days: 8,
      missing,
      regime: null,
      hasRoots: true,
      wet: false,
      felt: null,
      school: 'top-25',
    };
    expect(reasonText(reason, metric)).toMatch(text);
    expect(reasonText(reason, metric)).toMatch(
      /^Last water 8 days ago; every 8 days in this air\./,
    );
  });
});

describe('days to dry of one’s own', () => {
  it.each([
    [0, /^Set without drying, as you chose/],
    [0.25, /^Some hours to dry, as you chose/],
    [14, /^14 days to dry, as you chose/],
  ])('%d', (days, text) => {
    expect(reasonText({ why: 'chosen-days', days, opens: null }, metric)).toMatch(text);
  });
});

describe('courses', () => {
  it.each(COURSES)('%s has a name and a sentence', (course) => {
    expect(COURSE_WORDS[course].name.length).toBeGreaterThan(3);
    expect(COURSE_WORDS[course].says).toMatch(/\.$/);
  });
});

describe('the number of pieces', () => {
  const [first] = cares.flatMap(({ care }) => care.asks.filter((a) => a.kind === 'stick'));
  it('is said where it is not all of them', () => {
    const some: Ask = { ...first!, count: 1 };
    expect(askText(some, metric)).toContain(`1 ${METHOD[some.batch.method].one}`);
  });
});

describe('leave alone', () => {
  it('one day is no range', () => {
    const gate = cares.flatMap(({ care }) => care.leave).find((l) => l.kind === 'gate')!;
    const narrow: Leave = { ...gate, earliest: gate.until, latest: gate.until };
    expect(leaveReason(narrow, metric)).not.toMatch(/closes/);
    expect(leaveReason(gate, metric)).toMatch(/closes/);
  });
});

describe('the calendar of what lies ahead', () => {
  const events = tasksAhead(state, DAY, verdicts).map((t) => calendarText(state, t, metric));
  const file = calendarOf('Hypogeon', events, new Date('2026-04-09T08:00:00Z'));
  const read = new ICAL.Component(ICAL.parse(file) as unknown[])
    .getAllSubcomponents('vevent')
    .map((e) => new ICAL.Event(e));

  it('is read by another parser, each task once', () => {
    expect(read).toHaveLength(events.length);
    expect(new Set(read.map((e) => e.uid)).size).toBe(read.length);
    for (const e of read) expect(e.summary).not.toMatch(/undefined/);
  });

  it('names a task the same in a later export, so that a calendar moves it', () => {
    const later = tasksAhead(state, '2026-04-10', verdicts).map((t) => t.uid);
    const same = events.filter((e) => e.uid.includes('-gate@'));
    expect(same.length).toBeGreaterThan(2);
    for (const { uid } of same) expect(later).toContain(uid);
  });
});

describe('rules of thumb', () => {
  it.each(METHODS)('of %s are told in inches too', (method) => {
    expect(ruleText(METHOD_RULE[method], 'in')).not.toMatch(/\d (mm|cm)\b/);
    expect(ruleText(METHOD_RULE[method], 'mm')).toBe(METHOD_RULE[method]);
  });

  it('of repotting: a pot 1–2 cm wider, 1–1.5 cm below the rim (common practice, no source)', () => {
    expect(repottingText(metric)).toMatch(/1–2 cm wider than the roots, 1–1\.5 cm free/);
    expect(repottingText(us)).toMatch(/1\/2–1 in wider than the roots, about 1\/2 in free/);
    for (const pot of USUAL_CONTAINERS) {
      expect(pot.freeboardMm).toBeGreaterThanOrEqual(5);
      expect(pot.freeboardMm).toBeLessThanOrEqual(15);
    }
  });
});

describe('care slips', () => {
  const slip = (id: string) => slipOf(state, state.batches.get(id)!, DAY);

  it('say in metric and in inches what to do, and when', () => {
    const fresh = slipText(slip('b-24'), 3, metric);
    expect(fresh.title).toMatch(/^Opuntia microdasys, Bunny ears \(OPU-/);
    expect(fresh.lines[0]).toMatch(/^3 pads, cut .*, without roots as yet\.$/);
    // Where it is from, and no day of first water: a cactus drinks nothing before it has roots.
    expect(fresh.lines[1]).toMatch(/^From Bunny ears/);
    expect(fresh.lines[2]).toMatch(/^No water until it has roots\. Then let all of it dry/);
    const dated = {
      ...slip('b-24'),
      dryUntilRoots: false,
      regime: 'sip' as const,
      noWaterBefore: '2026-04-20',
    };
    expect(slipText(dated, 1, metric).lines[2]).toMatch(
      /^No water before Mon 20 Apr\. Then a small drink .* after that let all of it dry/,
    );
    // The line that saves it stands out, wherever it comes.
    expect([fresh.loud, slipText(dated, 1, metric).loud]).toEqual([2, 2]);
    expect(slipText({ ...dated, from: [] }, 1, metric).loud).toBe(1);
    expect(fresh.lines[3]).toMatch(/^Water the mix, not the plant/);
    expect(slipPlain(fresh)).toContain(fresh.cautions[0]!);
    const jar = { ...slip('b-24'), inJar: true };
    expect(slipText(jar, 1, metric).lines.join(' ')).toContain('2.5–5 cm of root');
    expect(slipText(jar, 1, us).lines.join(' ')).toContain('1–2 in of root');
  });

  it('a rooted one is watered, and fed', () => {
    const some = {
      ...slip('b-24'),
      rooted: true,
      noWaterBefore: null,
      dryUntilRoots: false,
      regime: null,
      withRoots: 2,
      living: 5,
    };
    const rooted = slipText(some, 1, metric);
    expect(rooted.loud).toBeNull();
    expect(rooted.lines.join(' ')).toMatch(/Let all of it dry out, then soak it/);
    // Only those that have them are said to.
    expect(rooted.lines[0]).toMatch(/with roots \(2 of 5 have them\)/);
    expect(slipText(some, 4, metric).lines[0]).toMatch(/2 with roots, the rest without/);
    expect(slipText({ ...some, regime: 'base' }, 1, metric).lines.join(' ')).toMatch(
      /A few drops at its base .* pot of its own/,
    );
    expect(rooted.lines.join(' ')).toMatch(/Feed at half strength/);
  });
});
