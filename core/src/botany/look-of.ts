import type { Look } from '../look';
import { CATALOGUE } from './catalogue';
import { formOf, genusOfName, type Form } from './form';
import type { Taxon } from './taxon';

/** A plant nobody has drawn is drawn as its build. */
const BY_FORM: Readonly<Record<Form, Look>> = {
  rosette: { habit: 'rosette' },
  stacked: { habit: 'stacked' },
  trailing: { habit: 'trail' },
  strap: { habit: 'straps' },
  globe: { habit: 'globe', spines: 'white' },
  column: { habit: 'column', spines: 'wood' },
  pad: { habit: 'pads', mark: 'dots', markTone: 'gold' },
  branch: { habit: 'shrub' },
  'bare-branch': { habit: 'tree' },
  stone: { habit: 'stones' },
  tuber: { habit: 'fronds', below: 'tuber' },
};

/** A plant of no build that is known. */
export const ANY_LOOK: Look = BY_FORM.rosette;

/** What a plant is drawn from: its own figures, those of the first of its genus, or those of its build. */
export function lookOf(taxon: Pick<Taxon, 'id' | 'name' | 'look'>): Look {
  if (taxon.look) return taxon.look;
  const genus = genusOfName(taxon.name);
  const kin = CATALOGUE.find((t) => t.look && genusOfName(t.name) === genus);
  const form = formOf(taxon);
  return kin?.look ?? (form ? BY_FORM[form] : ANY_LOOK);
}
