import { monthlyProblemText, monthNames, monthProblemText } from './months';

describe('a usual year that cannot be', () => {
  it('says what a month may be, in the grower’s degrees', () => {
    expect(monthProblemText('May', 'high', 'C')).toBe('May: a mean high from -60 °C to 70 °C.');
    expect(monthProblemText('May', 'low', 'F')).toBe('May: a mean low from -76 °F to 140 °F.');
    expect(monthProblemText('May', 'wind', 'C')).toBe('May: wind from 0 to 60 m/s.');
    expect(monthProblemText('May', 'crossed', 'C')).toMatch(/low is above the high/);
    expect(monthProblemText('May', 'humidity', 'C')).toMatch(/1 to 100%/);
  });

  it('says where in a file it is', () => {
    expect(monthlyProblemText({ is: 'rows', found: 3 }, 'C')).toMatch(/here are 3/);
    expect(monthlyProblemText({ is: 'columns' }, 'C')).toMatch(/min, max/);
    expect(monthlyProblemText({ is: 'unread', row: 4, what: 'humidity' }, 'C')).toMatch(/^Row 4/);
    expect(monthlyProblemText({ is: 'unread', row: 4, what: 'temperature' }, 'C')).toMatch(/low/);
    expect(monthlyProblemText({ is: 'month', month: 2, problem: 'high' }, 'C')).toMatch(/^March/);
    expect(monthNames('de')[2]).toBe('März');
  });
});
