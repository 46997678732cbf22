import { ChangeDetectionStrategy, Component } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { mount } from '../../testing/mount';
import { freshId } from './fresh-id';
import { Words } from './words';

@Component({ selector: 'hy-blank', changeDetection: ChangeDetectionStrategy.OnPush, template: '' })
class Blank {}

describe('words for days and quantities', () => {
  let words: Words;
  beforeEach(async () => {
    await mount(Blank, {}, []);
    words = TestBed.inject(Words);
  });

  it.each([
    ['2026-04-09', 'today'],
    ['2026-04-10', 'tomorrow'],
    ['2026-04-08', 'yesterday'],
    ['2026-04-12', 'Sun 12 Apr'],
    ['2027-01-03', 'Sun 3 Jan 2027'],
  ])('%s is %s', (day, said) => {
    expect(words.near(day)).toBe(said);
  });

  it.each([
    ['2026-04-09', '2026-04-09', '9 Apr'],
    ['2026-04-09', '2026-04-12', '9–12 Apr'],
    ['2026-04-28', '2026-05-03', '28 Apr – 3 May'],
  ])('from %s to %s is %s', (from, to, said) => {
    expect(words.span(from, to)).toBe(said);
  });

  it('writes days and shares', () => {
    expect(words.longDay('2026-04-09')).toBe('Thursday 9 April');
    expect(words.days(1)).toBe('1 day');
    expect(words.days(0)).toBe('0 days');
    expect(words.percent(0.666)).toBe('67%');
    expect(words.percentSpan({ low: 0.1, high: 0.305 })).toBe('10–31%');
  });
});

describe('ids', () => {
  it('are long, plain and never twice the same', () => {
    const ids = Array.from({ length: 500 }, freshId);
    expect(new Set(ids).size).toBe(500);
    for (const id of ids) expect(id).toMatch(/^[0-9a-z]{16}$/);
  });
});
