const SIGNS = '0123456789abcdefghijklmnopqrstuvwxyz';

/**
 * A random id. `crypto.randomUUID` would need https, and a phone reaches the bench's laptop by plain
 * http; 16 signs of base 36 are 82 bits.
 */
export function freshId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return Array.from(bytes, (b) => SIGNS[b % SIGNS.length]).join('');
}
