import { CATALOGUE, coursesFor, METHODS, usualCourse } from '../botany';
import { COURSE, COURSES } from '.';

describe('the table of courses', () => {
  it.each(COURSES)('%s: what it says of itself holds together', (id) => {
    const row = COURSE[id];
    const at = (station: (typeof row.stations)[number]): number => row.stations.indexOf(station);
    // Bare pieces are set once they have roots, all others before.
    expect(at('stick') > at('roots')).toBe(row.setWhen === 'rooted');
    // Water comes after the gate, and nothing is weaned that never stood in a jar.
    if (at('first-water') >= 0) expect(at('gate')).toBeLessThan(at('first-water'));
    expect(at('wean') >= 0).toBe(row.medium === 'water');
    expect(row.look === 'through-glass').toBe(row.lies === 'in-jar');
    // Nobody digs to see: what is buried is tugged, or tells by its growth.
    if (row.lies === 'buried' || row.lies === 'in-trench')
      expect(['by-tug', 'by-growth']).toContain(row.look);
    if (row.misted) expect(row.lies === 'bare' || row.lies === 'on-surface').toBe(true);
  });

  it('every way of every plant has a usual course, and no course twice', () => {
    for (const taxon of CATALOGUE)
      for (const { method, wound } of taxon.methods) {
        const all = coursesFor(taxon, method, wound);
        expect(all[0]).toBe(usualCourse(taxon, method, wound));
        expect(new Set(all).size).toBe(all.length);
      }
    for (const method of METHODS) expect(coursesFor(null, method, null).length).toBeGreaterThan(0);
  });

  it('what was cut decides between a division and a rooted piece', () => {
    const rhizome = { tissue: 'rhizome', widthMm: 12, evidence: 'common practice' } as const;
    const soft = { tissue: 'soft stem', widthMm: 6, evidence: 'common practice' } as const;
    expect(usualCourse(null, 'division', null)).toBe('rooted');
    expect(usualCourse(null, 'division', rhizome)).toBe('division');
    expect(usualCourse(null, 'division', soft)).toBe('dried');
    expect(usualCourse(null, 'rooted-offset', null)).toBe('rooted');
    expect(usualCourse(null, 'rooted-offset', soft)).toBe('division');
  });

  it('by plant: stalked leaves, notched leaves and straps; a jar where it is the custom', () => {
    const of = (id: string, method: 'leaf' | 'offset') => {
      const taxon = CATALOGUE.find((t) => t.id === id)!;
      return coursesFor(taxon, method, taxon.methods.find((m) => m.method === method)!.wound);
    };
    expect(of('zamioculcas-zamiifolia', 'leaf')[0]).toBe('petiole');
    expect(of('kalanchoe-daigremontiana', 'leaf')[0]).toBe('notch');
    expect(of('dracaena-trifasciata', 'leaf')).toEqual(['dried', 'water']);
    expect(of('echeveria-elegans', 'leaf')).toEqual([
      'laid',
      'bare',
      'propped',
      'petiole',
      'water',
    ]);
  });
});
