import type { MethodId } from '../botany';
import { addDays } from '../days';
import { fold, type KnownEntry } from '../journal';
import { batchPut, DAY, FIELDS, written } from '../testing/entries';
import { mother, settings, space, type Draft } from '../testing/mothers';
import { conditionOf, motherCareOf } from '.';

describe('the condition of a mother', () => {
  const on = addDays(DAY, 5);
  const look = (
    seen: Partial<Extract<KnownEntry, { kind: 'examined' }>>,
    day = addDays(DAY, 4),
  ): Draft => ({
    kind: 'examined',
    mother: 'm1',
    day,
    ...seen,
  });
  const of = (...more: Draft[]) => {
    const state = fold(written(settings(-40), space({}), mother(), ...more));
    return conditionOf(state, state.mothers.get('m1')!, on);
  };
  const says = (c: ReturnType<typeof of>) => c.notes.map((n) => n.says);

  it('plump, clean and in season: cut', () => {
    const c = of(
      look({
        turgid: true,
        clean: true,
        growing: true,
        flowering: false,
        wateredOn: addDays(DAY, 3),
      }),
    );
    expect(c.verdict).toBe('cut');
    expect(says(c)).toEqual(['Plump and clean', 'In season']);
  });

  it('pests stop, a limp one waits two days, a flower stalk comes off', () => {
    const pests = of(look({ clean: false, turgid: false }));
    expect(pests.verdict).toBe('stop');
    expect(pests.notes[0]!.then).toContain('clean for 14 days');
    expect(of(look({ turgid: false, clean: true }))).toMatchObject({
      verdict: 'wait',
      until: addDays(on, 2),
    });
    expect(says(of(look({ clean: true, flowering: true })))).toContain('In flower');
    expect(says(of(look({ turgid: true, wateredOn: on }, on)))).toContain('Watered today');
    expect(says(of(look({ turgid: true, wateredOn: addDays(on, -12) })))).toContain(
      'Last watered 12 days ago',
    );
  });

  it('an old look is asked for again; the last one counts, and a look taken back does not', () => {
    expect(says(of())).toContain('Not looked at yet');
    expect(of().fresh).toBe(false);
    expect(says(of(look({ clean: true }, addDays(on, -11))))).toContain(
      'Last looked at 11 days ago',
    );
    const limp = look({ turgid: false, clean: true }, addDays(on, -11));
    expect(of(limp).verdict).toBe('cut');
    const back = of(look({ clean: false }), {
      kind: 'retract',
      entry: 'e3',
      subject: 'mother/m1',
      day: on,
    });
    expect(back.verdict).toBe('cut');
    expect(back.looked).toBeNull();
  });

  it('clean again is not clean for fourteen days: she waits them out, and no longer', () => {
    const pests = look({ clean: false }, addDays(on, -20));
    const clean = (ago: number) => look({ clean: true, turgid: true }, addDays(on, -ago));
    expect(of(pests).verdict).toBe('stop');
    expect(of(pests, clean(4))).toMatchObject({ verdict: 'wait', until: addDays(on, 10) });
    expect(says(of(pests, clean(4), clean(1)))).toContain('Clean again, but not for long');
    expect(of(pests, clean(4), clean(1)).until).toBe(addDays(on, 10));
    expect(of(pests, clean(14)).verdict).toBe('cut');
    // A look that did not ask for pests takes nothing back.
    expect(of(pests, look({ turgid: true })).verdict).toBe('stop');
  });

  it('leave, variety rights and rest weigh in', () => {
    expect(of(mother({ permission: null }))).toMatchObject({ verdict: 'stop' });
    expect(says(of(mother({ protectedVariety: true })))).toContain('Perhaps a protected variety');
    const resting = of(space({ tempC: 5 }));
    expect(resting).toMatchObject({ verdict: 'wait', until: null });
    expect(says(of(mother({ space: null })))).toContain('Its place is not told');
  });
});

describe('half a look', () => {
  const her = (...looks: Draft[]) => {
    const state = fold(written(motherPut, ...looks));
    return conditionOf(state, state.mothers.get('m1')!, DAY);
  };
  const motherPut: Draft = {
    kind: 'put',
    record: 'mother',
    key: 'm1',
    day: DAY,
    fields: { name: 'Bowl', taxon: 'echeveria-elegans', permission: 'own' },
  };
  const look = (seen: object, day = DAY): Draft => ({
    kind: 'examined',
    mother: 'm1',
    day,
    ...seen,
  });

  it('gives no green light: plump and clean are both to be seen', () => {
    for (const seen of [
      { turgid: true },
      { clean: true },
      { growing: true },
      { flowering: false },
    ]) {
      const condition = her(look(seen));
      expect(condition.fresh).toBe(false);
      expect(condition.notes.map((n) => n.says)).toContain('Only half looked over');
    }
    expect(her(look({ turgid: true, clean: true })).fresh).toBe(true);
  });

  it('two halves of late are a whole; an old half is none', () => {
    const first = look({ turgid: true }, addDays(DAY, -3));
    expect(her(first, look({ clean: true })).fresh).toBe(true);
    const old = look({ turgid: true }, addDays(DAY, -30));
    const condition = her(old, look({ clean: true }));
    expect(condition.fresh).toBe(false);
    expect(condition.notes.find((n) => n.says === 'Only half looked over')!.then).toBe(
      'Still to see: plump and firm.',
    );
  });

  it('keeps why she is cut, as lately seen', () => {
    expect(her(look({ reasons: ['leggy', 'bare'] })).reasons).toEqual(['leggy', 'bare']);
    expect(her(look({ reasons: ['leggy'] }, addDays(DAY, -40))).reasons).toEqual([]);
  });
});

describe('a mother lately cut, parted or moved', () => {
  const cutOn = (method: MethodId, back: number): Draft[] => [
    batchPut({ ...FIELDS, mother: 'm1', method }, 'b1'),
    { kind: 'cut', batch: 'b1', day: addDays(DAY, -back) },
  ];
  const her = (...more: Draft[]) => {
    const state = fold(
      written(
        space({}),
        mother(),
        { kind: 'examined', mother: 'm1', day: DAY, turgid: true, clean: true },
        ...more,
      ),
    );
    const m1 = state.mothers.get('m1')!;
    return { is: conditionOf(state, m1, DAY), care: motherCareOf(state, m1, DAY) };
  };

  it('is not cut on a day that leaves her alone: one date for both', () => {
    for (const back of [5, 11, 20]) {
      const { is, care } = her(...cutOn('crown', back));
      expect(is).toMatchObject({ verdict: 'wait', until: addDays(DAY, 21 - back) });
      expect(is.notes[0]!.says).toBe(`Cut ${back} days ago`);
      expect(is.notes.map((n) => n.then).join(' ')).not.toContain('Nothing speaks against');
      expect(care.leave.map((l) => l.until)).toEqual([is.until]);
    }
    const { is } = her(...cutOn('crown', 11), {
      kind: 'mothered',
      mother: 'm1',
      what: 'looked',
      heads: 1,
      day: DAY,
    });
    expect(is.until).toBe(addDays(DAY, 14));
  });

  it('is cut for several ways in one day, and again where her new heads are looked for', () => {
    expect(her(...cutOn('crown', 0)).is.verdict).toBe('cut');
    expect(her(...cutOn('crown', 21)).is.verdict).toBe('cut');
    expect(her(...cutOn('leaf', 11)).is.verdict).toBe('cut');
  });

  it('takes hold first where she was parted or repotted', () => {
    expect(her(...cutOn('division', 4)).is).toMatchObject({ until: addDays(DAY, 6) });
    const { is } = her({ kind: 'repotted', mother: 'm1', day: addDays(DAY, -1) });
    expect(is).toMatchObject({ verdict: 'wait', until: addDays(DAY, 9) });
    expect(is.notes[0]!.says).toBe('Repotted yesterday');
  });
});
