import { changedLines } from './changed-lines';
import type { LinesText } from './lines';

const said = (what: string) => ({ what, why: '' });
const text = (water: string, ...deeds: readonly string[]): LinesText => ({
  deeds: deeds.map(said),
  water: [said(water)],
  look: [said('Sun 12 Apr')],
  leave: [said('the cut')],
});

describe('what follows from a change', () => {
  it('tells the lines that read otherwise, with what they said', () => {
    const was = text('from Sun 12 Apr', 'Set them', 'Count');
    expect(changedLines(was, text('from Wed 15 Apr'))).toEqual([
      { of: 'Do', was: 'Set them, Count', is: 'nothing today' },
      { of: 'Water', was: 'from Sun 12 Apr', is: 'from Wed 15 Apr' },
    ]);
  });

  it('tells nothing where nothing changes', () => {
    expect(changedLines(text('from Sun 12 Apr'), text('from Sun 12 Apr'))).toEqual([]);
  });
});
