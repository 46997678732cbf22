import { EMPTY_STATE, fold } from '../journal';
import { toldBefore } from './paper-again';
import { guessPaper, paperEntries, readPaper } from './paper-log';
import { readTable } from './weather-csv';

const TODAY = '2026-04-09';
const rowsOf = (text: string) => {
  const table = readTable(text)!;
  const mapping = { ...guessPaper(table), like: { 'Purple thing': 'echeveria-elegans' } };
  return readPaper(EMPTY_STATE, table, mapping, TODAY);
};
/** The journal after a log was taken in. */
function after(text: string) {
  let n = 0;
  const drafts = paperEntries(EMPTY_STATE, rowsOf(text), 'home', () => `id-${n++}`);
  return fold(
    drafts.map((draft, i) => ({
      ...draft,
      id: `e${i}`,
      at: `2026-04-09T08:00:00.000Z~${i.toString(16).padStart(4, '0')}`,
      by: 'phone',
      day: draft.day ?? TODAY,
    })),
  );
}

const HEAD = 'Plant;Type;Date;Qty;Took\n';
const LOG = `${HEAD}Echeveria elegans;leaf;14.03.2025;40;26
Purple thing;leaf;20.03.2025;12;11
Echeveria elegans;leaf;14.03.2025;40;20
`;

describe('a paper log that comes a second time', () => {
  it('is known row by row, own plants and rows alike included', () => {
    expect(toldBefore(EMPTY_STATE, rowsOf(LOG)).size).toBe(0);
    expect([...toldBefore(after(LOG), rowsOf(LOG))]).toEqual([2, 3, 4]);
  });

  it('has as many rows again as there are such batches, and no more', () => {
    const more = `${LOG}Echeveria elegans;leaf;14.03.2025;40;9\nEcheveria elegans;leaf;15.03.2025;40;9\n`;
    expect([...toldBefore(after(LOG), rowsOf(more))]).toEqual([2, 3, 4]);
  });

  it('is another batch with another number, way or plant', () => {
    const other = `${HEAD}Echeveria elegans;leaf;14.03.2025;41;26
Echeveria elegans;crown;14.03.2025;40;26
Sedum pachyphyllum;leaf;14.03.2025;40;26
`;
    expect(toldBefore(after(LOG), rowsOf(other)).size).toBe(0);
  });
});
