import { EMPTY_STATE } from '@hypogeon/core/journal';
import { speechFor } from './speech';
import { dayOrderOf, firstWeekdayOf, localeOf, paperOf } from './locale';

describe('days, weeks and paper where the grower lives', () => {
  it('keeps the region and speaks English', () => {
    expect(localeOf('de-AT')).toBe('en-AT');
    expect(localeOf('de')).toBe('en-DE');
    expect(localeOf('en-GB')).toBe('en-GB');
    expect(localeOf('en-US')).toBe('en-US');
    expect(localeOf('pt-BR')).toBe('en-BR');
    expect(localeOf('not a tag')).toBe('en-GB');
  });

  it('knows which of day and month comes first', () => {
    expect(dayOrderOf('en-US')).toBe('mdy');
    expect(dayOrderOf('en-GB')).toBe('dmy');
    expect(dayOrderOf('en-DE')).toBe('dmy');
  });

  it('begins the week as the region does', () => {
    expect(firstWeekdayOf('en-US')).toBe(0);
    expect(firstWeekdayOf('en-GB')).toBe(1);
  });

  // Source: Unicode CLDR, supplemental measurementData (from memory).
  it('prints on the paper of the region', () => {
    expect(paperOf('en-US')).toBe('letter');
    expect(paperOf('en-MX')).toBe('letter');
    expect(paperOf('en-GB')).toBe('a4');
    expect(paperOf('en-DE')).toBe('a4');
  });
});

describe('units nobody has set', () => {
  // Source: Unicode CLDR, supplemental measurementData (from memory).
  it('are those of the region, and the grower’s own word counts before them', () => {
    const us = { locale: 'en-US', today: '2026-04-09' };
    expect(speechFor(EMPTY_STATE, us)).toMatchObject({ length: 'in', temperature: 'F' });
    expect(speechFor(EMPTY_STATE, { ...us, locale: 'en-DE' })).toMatchObject({
      length: 'mm',
      temperature: 'C',
    });
    const metric = { ...EMPTY_STATE, settings: { length: 'mm', temperature: 'C' } as const };
    expect(speechFor(metric, us)).toMatchObject({ length: 'mm', temperature: 'C' });
  });
});
