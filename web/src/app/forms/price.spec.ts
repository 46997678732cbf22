import { readPrice } from './price';

describe('a price as typed', () => {
  it.each([
    ['', undefined],
    ['4.50', 4.5],
    ['4,50', 4.5],
    ['0', 0],
  ])('%j is %s', (text, each) => {
    expect(readPrice(text)).toEqual({ ok: true, each });
  });

  it.each(['-1', 'much', '2000000'])('%j is none, and the sentence says what is', (text) => {
    expect(readPrice(text)).toMatchObject({
      ok: false,
      problem: expect.stringContaining('0 or more'),
    });
  });
});
