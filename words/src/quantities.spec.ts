import { ruleText } from './quantities';

describe('rules of thumb in inches', () => {
  const inches = (text: string): string => ruleText(text, 'in');

  it('are those the trade says, where it says them (common practice, no source)', () => {
    expect(inches('with 2–3 cm of bare stem')).toBe('with about 1 in of bare stem');
    expect(inches('the top 2.5 cm are dry')).toBe('the top 1 in are dry');
    expect(inches('a pot 1–2 cm wider, 1–1.5 cm free below the rim')).toBe(
      'a pot 1/2–1 in wider, about 1/2 in free below the rim',
    );
  });

  it('else those a ruler shows: a number is never torn apart', () => {
    // 16 cm held the rule `6 cm` and became `12 1/2 in` once.
    expect(inches('about 16 cm deep')).toBe('about 6 1/2 in deep');
    expect(inches('110 cm')).toBe('43 in');
    expect(inches('3 cm deep')).toBe('1 1/8 in deep');
    expect(inches('10–15 mm')).toBe('3/8–5/8 in');
    expect(inches('1 mm')).toBe('1/8 in');
  });

  it('leave areas, codes and metric benches alone', () => {
    expect(inches('2 cm²/d')).toBe('2 cm²/d');
    expect(inches('KAL-16 cmd')).toBe('KAL-16 cmd');
    expect(ruleText('about 16 cm deep', 'mm')).toBe('about 16 cm deep');
  });
});
