import { CATALOGUE } from '@hypogeon/core/botany';
import { moreOfIt } from '.';

const says = (id: string): string => moreOfIt(CATALOGUE.find((t) => t.id === id)!);

describe('how to make more of a plant', () => {
  it('names the best way first, with its share and days, then the others', () => {
    expect(says('crassula-perforata')).toBe(
      'Take crowns: about 95% live, roots in 7–21 days. Or segments. Seldom worth it: leaves.',
    );
    expect(says('zamioculcas-zamiifolia')).toMatch(/^Take divisions: .* Or segments\. Seldom/);
  });

  it('a plant of poor ways only says its best', () => {
    expect(says('adenium-obesum')).toMatch(/^Take branches: about \d+% live/);
    expect(moreOfIt({ methods: [] })).toBe('');
  });

  it('answers for every plant of the guide', () => {
    for (const taxon of CATALOGUE) expect(moreOfIt(taxon)).toMatch(/^Take .+ days\./);
  });
});
