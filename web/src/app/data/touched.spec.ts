import { touchedFields } from './touched';

describe('what a form writes', () => {
  it('is what was touched, by the inputs that feed it', () => {
    const fields = { name: 'A', heightMm: 12, breadthMm: null };
    const feeds = {
      name: ['name'],
      heightMm: ['height'],
      breadthMm: ['breadth', 'shape'],
    } as const;
    type Input = 'name' | 'height' | 'breadth' | 'shape';
    const of = (...touched: Input[]) => touchedFields(new Set(touched), fields, feeds);
    expect(of()).toEqual({});
    expect(of('height')).toEqual({ heightMm: 12 });
    expect(of('shape')).toEqual({ breadthMm: null });
    expect(of('name', 'breadth')).toEqual({ name: 'A', breadthMm: null });
  });
});
