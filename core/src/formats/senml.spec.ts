import { readSenml, writeSenml, type Measurement } from '.';

const measured = (raw: unknown, now: number | null = null): readonly Measurement[] => {
  const read = readSenml(raw, now);
  if (!read.ok) throw new Error(read.problem);
  return read.measurements;
};
const problem = (raw: unknown): string => {
  const read = readSenml(raw, null);
  return read.ok ? '' : read.problem;
};

// The examples of RFC 8428, section 5.1.
describe('SenML packs of RFC 8428', () => {
  it('5.1.1 a single measurement, taken about now', () => {
    const pack = [{ n: 'urn:dev:ow:10e2073a01080063', u: 'Cel', v: 23.1 }];
    expect(measured(pack)).toEqual([
      { name: 'urn:dev:ow:10e2073a01080063', unit: 'Cel', time: null, value: 23.1 },
    ]);
    expect(measured(pack, 1.8e9)[0]!.time).toBe(1.8e9);
  });

  it('5.1.2 several measurements under one base name', () => {
    const pack = [
      { bn: 'urn:dev:ow:10e2073a01080063:', n: 'voltage', u: 'V', v: 120.1 },
      { n: 'current', u: 'A', v: 1.2 },
    ];
    expect(measured(pack).map((m) => [m.name, m.unit, m.value])).toEqual([
      ['urn:dev:ow:10e2073a01080063:voltage', 'V', 120.1],
      ['urn:dev:ow:10e2073a01080063:current', 'A', 1.2],
    ]);
  });

  it('5.1.2 base time, base unit, and times before it', () => {
    const pack = [
      {
        bn: 'urn:dev:ow:10e2073a0108006:',
        bt: 1.276020076001e9,
        bu: 'A',
        bver: 5,
        n: 'voltage',
        u: 'V',
        v: 120.1,
      },
      { n: 'current', t: -5, v: 1.2 },
      { n: 'current', t: -4, v: 1.3 },
      { n: 'current', v: 1.7 },
    ];
    const all = measured(pack);
    expect(all.map((m) => m.unit)).toEqual(['V', 'A', 'A', 'A']);
    expect(all.map((m) => m.time)).toEqual([
      1276020076.001, 1276020071.001, 1276020072.001, 1276020076.001,
    ]);
  });

  it('5.1.3 one sensor over time: the base name is the name', () => {
    const pack = [
      { bn: 'urn:dev:ow:10e2073a01080063', bt: 1.320067464e9, bu: '%RH', v: 20 },
      { t: 10, v: 21.2 },
      { t: 20, v: 21.3 },
    ];
    expect(measured(pack).map((m) => [m.name, m.time, m.value])).toEqual([
      ['urn:dev:ow:10e2073a01080063', 1320067464, 20],
      ['urn:dev:ow:10e2073a01080063', 1320067474, 21.2],
      ['urn:dev:ow:10e2073a01080063', 1320067484, 21.3],
    ]);
  });

  it('5.1.5 texts, switches and data beside numbers', () => {
    const pack = [
      { bn: 'urn:dev:ow:10e2073a01080063:', n: 'temp', u: 'Cel', v: 23.1 },
      { n: 'label', vs: 'Machine Room' },
      { n: 'open', vb: false },
      { n: 'nfc-reader', vd: 'aGkgCg' },
    ];
    expect(measured(pack).map((m) => m.value)).toEqual([23.1, 'Machine Room', false, 'aGkgCg']);
  });

  it('section 4.1: a base value is added, and stands alone where there is no value', () => {
    expect(measured([{ bn: 'a', bv: 20, v: 1.5 }])[0]!.value).toBe(21.5);
    expect(measured([{ bn: 'a', bv: 20, n: 'b' }])[0]!.value).toBe(20);
  });

  it('section 4.4: what must be understood and is not, is refused; so are newer versions', () => {
    expect(problem([{ n: 'a', v: 1, odd_: true }])).toContain('odd_');
    expect(problem([{ bver: 11, n: 'a', v: 1 }])).toContain('newer');
    expect(measured([{ n: 'a', v: 1, odd: true }])).toHaveLength(1);
  });

  it.each([
    [{}, /list of records/],
    [[], /list of records/],
    ['[{"n":"a"}]', /list of records/],
    [[{ n: 'a', v: 'warm' }], /list of records/],
    [[{ n: '-a', v: 1 }], /no name/],
    [[{ v: 1 }], /no name/],
    [[{ n: 'a', v: 1, vs: 'b' }], /more than one value/],
  ])('refuses %j', (raw, sentence) => {
    expect(problem(raw)).toMatch(sentence);
  });

  it('reads what it writes', () => {
    const pack = writeSenml('urn:dev:bench:1:', 1.8e9, [
      { n: 'temperature', u: 'Cel', v: 21 },
      { n: 'humidity', u: '%RH', v: 55 },
    ]);
    expect(measured(JSON.parse(JSON.stringify(pack))).map((m) => [m.time, m.value])).toEqual([
      [1.8e9, 21],
      [1.8e9, 55],
    ]);
  });
});
