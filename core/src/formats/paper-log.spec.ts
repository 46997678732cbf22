import { EMPTY_STATE, fold } from '../journal';
import { guessPaper, paperEntries, paperOrders, readPaper, type PaperMapping } from './paper-log';
import { readTable, type Table } from './weather-csv';

const TODAY = '2026-04-09';

/** As such a log may look; invented. */
const LOG = `Plant;Type;Date;Qty;Took;Rotted;Tray;Notes
Echeveria elegans;leaves;14.03.2025;40;26;9;window;pulled too early
Sedum pachyphyllum;tips;20.03.2025;12;11;;B;
Haworthia somethingii;offset;02.04.2025;4;4;0;;new name
Jade plant;stem;xx;5;;;;
;leaf;01.05.2025;10;;;;
Opuntia microdasys;pads;05.05.2025;3;5;;;
Purple thing;leaf;06.05.2025;8;2;;;
`;
const table = readTable(LOG)!;
const rows = (mapping: PaperMapping = guessPaper(table), of: Table = table) =>
  readPaper(EMPTY_STATE, of, mapping, TODAY);

describe('an old paper log', () => {
  it('is understood by its headers and its dates', () => {
    const { columns, order } = guessPaper(table);
    expect(columns).toEqual({
      taxon: 0,
      method: 1,
      date: 2,
      number: 3,
      rooted: 4,
      rotted: 5,
      place: 6,
      notes: 7,
    });
    expect(order).toBe('dmy');
    expect(paperOrders(table, columns)).toEqual(['dmy']);
  });

  it.each(['constructor', '__proto__', 'toString', 'hasOwnProperty'])(
    'takes a plant called %s for a plant',
    (name) => {
      const odd = readTable(`plant,method,date,qty\n${name},leaf,2025-05-06,4\n`)!;
      const unlike = rows(guessPaper(odd), odd)[0]!;
      expect(unlike).toMatchObject({ ok: false, field: 'taxon' });
      const like: Record<string, string> = Object.create(null) as Record<string, string>;
      like[name] = 'echeveria-elegans';
      const row = rows({ ...guessPaper(odd), like: { ...like } }, odd)[0]!;
      expect(row).toMatchObject({ ok: true, taxon: 'echeveria-elegans', newPlant: name });
      // What is taken can be handed on: to a worker, to the store, to a file.
      expect(structuredClone(row)).toEqual(row);
    },
  );

  it.each([
    ['taxon', `plant,method,date,qty\nEcheveria ${'e'.repeat(150)},leaf,2025-05-06,4\n`],
    [
      'mother',
      `plant,method,date,qty,mother\nEcheveria elegans,leaf,2025-05-06,4,${'m'.repeat(121)}\n`,
    ],
  ])('refuses a name of the %s that the journal could not hand out again', (field, log) => {
    const long = readTable(log)!;
    expect(rows(guessPaper(long), long)[0]).toMatchObject({
      ok: false,
      field,
      sentence: expect.stringMatching(/120 are the most/),
    });
  });

  it.each([
    [
      'German',
      `Pflanze;Vermehrung;Datum;Anzahl;Bewurzelt;Verfault;Schale;Bemerkungen
Echeveria elegans;Blatt;14. März 2025;40;26;9;Fenster;zu früh gezogen
Sedum pachyphyllum;Kopfsteckling;20.03.2025;12;11;;B;
Opuntia microdasys;Ohr;5. Mai 2025;5;3;;;
Gasteria carinata;Blattstück;1. Dez. 2025;6;;;;
`,
    ],
    [
      'Spanish',
      `Planta;Método;Fecha;Cantidad;Enraizadas;Podridas;Bandeja;Notas
Echeveria elegans;hoja;14 de marzo de 2025;40;26;9;ventana;sacadas pronto
Sedum pachyphyllum;punta;20/03/2025;12;11;;B;
Opuntia microdasys;penca;5 de mayo de 2025;5;3;;;
Gasteria carinata;trozo de hoja;1 dic 2025;6;;;;
`,
    ],
  ])('is read in %s: headers, months and ways', (_language, log) => {
    const given = readTable(log)!;
    const mapping = guessPaper(given);
    expect(mapping.columns).toEqual(guessPaper(table).columns);
    expect(rows(mapping, given)).toMatchObject([
      { ok: true, fields: { method: 'leaf', cutOn: '2025-03-14', count: 40 } },
      { ok: true, fields: { method: 'crown', cutOn: '2025-03-20' } },
      { ok: true, fields: { method: 'pad', cutOn: '2025-05-05' } },
      { ok: true, fields: { method: 'leaf-section', cutOn: '2025-12-01' } },
    ]);
  });

  it('takes any day that can be meant one way, whatever stands beside it', () => {
    const mixed = readTable(
      [
        'plant,method,date,qty',
        ...['2025-05-20', '"May 20, 2025"', '20.5.2025', '5/20/25', '2025-05-20 14:30'].map(
          (date) => `Echeveria elegans,leaf,${date},4`,
        ),
      ].join('\n') + '\n',
    )!;
    expect(paperOrders(mixed, guessPaper(mixed).columns)).toEqual([]);
    for (const row of rows(guessPaper(mixed), mixed))
      expect(row).toMatchObject({ ok: true, fields: { cutOn: '2025-05-20' } });
  });

  it('asks once for all which of day and month stands first, and only where nothing tells it', () => {
    const open = readTable(
      'plant,method,date,qty\nEcheveria elegans,leaf,3/4/25,4\nEcheveria elegans,leaf,2025-05-01,4\n',
    )!;
    const mapping = guessPaper(open);
    expect(paperOrders(open, mapping.columns)).toEqual(['dmy', 'mdy']);
    expect(rows(mapping, open)[0]).toMatchObject({
      ok: false,
      field: 'date',
      sentence: expect.stringContaining('2025-04-03 or 2025-03-04'),
    });
    expect(rows(mapping, open)[1]).toMatchObject({ ok: true });
    expect(rows({ ...mapping, order: 'mdy' }, open)[0]).toMatchObject({
      fields: { cutOn: '2025-03-04' },
    });
  });

  it('finds plants by their common names', () => {
    const jade = readTable('plant,method,date,qty\nDesert rose,stem,2025-05-06,4\n')!;
    expect(rows(guessPaper(jade), jade)[0]).toMatchObject({ ok: true, taxon: 'adenium-obesum' });
  });

  it('puts what stood in a known place there, and makes one plant of one name', () => {
    const log = readTable(
      'plant,method,date,qty,where\nPurple thing,leaf,2025-05-06,4,Lean-to\nPurple thing,leaf,2025-05-07,3,Box 9\n',
    )!;
    const state = fold([
      {
        id: 's',
        at: '2026-03-01T08:00:00.000Z~0000',
        day: TODAY,
        by: 'phone',
        kind: 'put',
        record: 'space',
        key: 'leanto',
        fields: { name: 'Lean-to' },
      },
    ]);
    const like = { 'Purple thing': 'graptopetalum-paraguayense' };
    const read = readPaper(state, log, { ...guessPaper(log), like }, TODAY);
    let n = 0;
    const made = paperEntries(state, read, 'else', () => `id-${++n}`).filter(
      (e) => e.kind === 'put',
    );
    expect(made.filter((e) => e.record === 'taxon')).toHaveLength(1);
    const batches = made.flatMap((e) => (e.record === 'batch' ? [e.fields] : []));
    expect(batches).toMatchObject([{ space: 'leanto' }, { space: 'else', place: 'Box 9' }]);
    expect(batches[0]).not.toHaveProperty('place');
  });

  it('says what each row becomes', () => {
    expect(rows()[0]).toMatchObject({
      line: 2,
      ok: true,
      taxon: 'echeveria-elegans',
      newPlant: null,
      fields: { count: 40, cutOn: '2025-03-14', method: 'leaf', place: 'window' },
      counts: { rooted: 26, rotted: 9, dried: 0 },
      notes: 'pulled too early',
    });
    expect(rows()[1]).toMatchObject({ ok: true, fields: { method: 'crown' } });
  });

  it('lets a plant of a known genus borrow its figures, under its own name', () => {
    expect(rows()[2]).toMatchObject({ ok: true, newPlant: 'Haworthia somethingii' });
  });

  it('says why a row becomes nothing, by its line and field', () => {
    const refused = rows().flatMap((r) => (r.ok ? [] : [[r.line, r.field, r.sentence]]));
    expect(refused).toEqual([
      [5, 'date', '“xx” is not a day. Write it like 2025-05-20 or May 20, 2025.'],
      [6, 'taxon', 'names no plant.'],
      [7, 'number', 'tells of 5 outcomes, but only 3 cuttings.'],
      [8, 'taxon', '“Purple thing” is not in the plant guide. Say below which plant it is like.'],
    ]);
  });

  it('takes the word of the grower for an unknown plant', () => {
    const like = { 'Purple thing': 'graptopetalum-paraguayense' };
    expect(rows({ ...guessPaper(table), like }).at(-1)).toMatchObject({
      ok: true,
      taxon: 'graptopetalum-paraguayense',
      newPlant: 'Purple thing',
    });
  });

  it('counts those with pups apart from the rooted, as the journal does', () => {
    const of = readTable(
      'plant,method,date,number,rooted,pups\nEcheveria elegans,leaf,2025-03-01,20,12,7\n',
    )!;
    expect(readPaper(EMPTY_STATE, of, guessPaper(of), TODAY)[0]).toMatchObject({
      counts: { rooted: 5, pupped: 7 },
    });
  });

  it('says what it made up', () => {
    const [row] = rows();
    expect(row!.ok && row!.assumed).toEqual([
      'counted today, for want of a day: it says little of how long roots took',
    ]);
  });

  it('becomes batches that are counted and done, plants and mothers made once', () => {
    const of = readTable(
      'plant,method,date,number,rooted,counted on,mother\n' +
        'Haworthia somethingii,offset,2025-03-01,4,3,2025-05-01,Old pot\n' +
        'Haworthia somethingii,offset,2025-04-01,6,6,2025-06-01,Old pot\n',
    )!;
    const read = readPaper(EMPTY_STATE, of, guessPaper(of), TODAY);
    let n = 0;
    const drafts = paperEntries(EMPTY_STATE, read, 'bench', () => `id${n++}`);
    const state = fold(
      drafts.map((d, i) => ({
        day: TODAY,
        ...d,
        id: `e${i}`,
        by: 'x',
        at: `2026-04-09T08:00:00.000Z~${i.toString(16).padStart(4, '0')}`,
      })),
    );
    expect(state.ownTaxa.size).toBe(1);
    expect(state.mothers.size).toBe(1);
    expect([...state.batches.values()].map((b) => [b.count, b.counts.rooted, b.stage])).toEqual([
      [4, 3, 'done'],
      [6, 6, 'done'],
    ]);
  });
});
