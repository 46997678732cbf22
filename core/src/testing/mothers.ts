import type { MotherFields, SpaceFields } from '../journal';
import { DAY, type written } from './entries';

export type Draft = Parameters<typeof written>[0];

export const space = (fields: SpaceFields, key = 'bench'): Draft => ({
  kind: 'put',
  record: 'space',
  key,
  day: DAY,
  fields: { name: 'Bench', tempC: 21, rh: 0.5, ...fields },
});
export const settings = (latitude: number): Draft => ({
  kind: 'put',
  record: 'settings',
  key: 'grower',
  day: DAY,
  fields: { latitude },
});
export const mother = (fields: MotherFields = {}, key = 'm1'): Draft => ({
  kind: 'put',
  record: 'mother',
  key,
  day: DAY,
  fields: {
    name: 'Bowl',
    taxon: 'echeveria-elegans',
    permission: 'own',
    space: 'bench',
    ...fields,
  },
});
