import type { Permission } from '@hypogeon/core/journal';

export const PERMISSION_WORD: Readonly<Record<Permission, string>> = {
  own: 'my own plant',
  given: 'given to me to propagate',
  asked: 'the owner said yes',
  unknown: 'not asked yet',
};
