import { CATALOGUE } from '../botany';
import { cuttingCautions } from '.';

const taxon = (id: string) => CATALOGUE.find((t) => t.id === id)!;
const titles = (...args: Parameters<typeof cuttingCautions>) =>
  cuttingCautions(...args).map((c) => c.title);

// Hazards of the trade: common practice, no source.
describe('cautions where the cut happens', () => {
  it('euphorbia latex comes first, with goggles and a doctor', () => {
    const [first] = cuttingCautions(taxon('euphorbia-milii'), true, 'alcohol');
    expect(first!.title).toMatch(/Latex can blind/);
    expect(first!.advice).toMatch(/Goggles.*doctor/);
  });

  it('speaks of the blade only where one cuts, of alcohol and bleach only where they are used', () => {
    const plain = taxon('echeveria-elegans');
    expect(titles(plain, true, 'none')).toEqual(['Blade', 'Dust']);
    expect(titles(plain, false, 'none')).toEqual(['Dust']);
    expect(titles(plain, true, 'alcohol')).toContain('Alcohol burns');
    const bleach = cuttingCautions(plain, true, 'bleach').find((c) => c.title === 'Bleach')!;
    expect(bleach.advice).toMatch(/Never with acid, ammonia, alcohol/);
  });

  it('names the law last', () => {
    const opuntia = cuttingCautions(taxon('opuntia-microdasys'), true, 'none');
    expect(opuntia.slice(-2).map((c) => c.weight)).toEqual(['law', 'law']);
    expect(opuntia[0]!.title).toMatch(/Glochids/);
  });
});
