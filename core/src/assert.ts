/** Throws a RangeError that names the argument; core functions refuse bad numbers instead of spreading NaN. */
export function assertFinite(name: string, value: number): void {
  if (!Number.isFinite(value))
    throw new RangeError(`${name} must be a finite number, got ${value}`);
}

export function assertPositive(name: string, value: number): void {
  assertFinite(name, value);
  if (value <= 0) throw new RangeError(`${name} must be above 0, got ${value}`);
}

export function assertFraction(name: string, value: number): void {
  assertFinite(name, value);
  if (value < 0 || value > 1) throw new RangeError(`${name} must be between 0 and 1, got ${value}`);
}

export function assertCount(name: string, value: number): void {
  if (!Number.isSafeInteger(value) || value < 0)
    throw new RangeError(`${name} must be a whole number of 0 or more, got ${value}`);
}

/** Closes an exhaustive switch: a new member of a union does not compile until it is handled. */
export function never(value: never): never {
  throw new RangeError(`not foreseen: ${JSON.stringify(value)}`);
}
