import { airWarning } from './mixes';

it('a pot without air is warned of, with the reason', () => {
  expect(airWarning(null)).toBe('');
  expect(airWarning({ air: 0.012, soggy: true })).toBe(
    'Only 1% air once drained: most of its depth stays soggy, and roots rot. Take a coarser mix or a deeper pot.',
  );
  expect(airWarning({ air: 0.06, soggy: false })).toContain('its fines hold water');
});
