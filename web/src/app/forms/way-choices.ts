import { waysTaken } from '@hypogeon/core/bench';
import { METHOD, type MethodId, type Taxon } from '@hypogeon/core/botany';
import { say } from '@hypogeon/messages/way-choices';

/** What something can be put down as, for a list to choose from: the plant's own ways first. */
export const wayChoices = (
  taxon: Taxon | null,
): readonly { readonly id: MethodId; readonly name: string }[] =>
  waysTaken(taxon).map(({ method, usual }) => ({
    id: method,
    name: `${METHOD[method].name}${usual ? '' : say.notUsualForIt()}`,
  }));
