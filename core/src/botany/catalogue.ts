import '../zod-setup';
import * as z from 'zod';
import taxa from '../data/taxa.json' with { type: 'json' };
import { taxonSchema, type Taxon } from './taxon';

/** The plants that ship, by name; every figure of theirs carries its own evidence. */
export const CATALOGUE: readonly Taxon[] = z.array(taxonSchema).parse(taxa);
