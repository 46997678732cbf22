import '../zod-setup';
import * as z from 'zod';
import { say as parts } from '@hypogeon/messages/core-hazard-parts';
import { say as names } from '@hypogeon/messages/core-plant-names';
import { say as ways } from '@hypogeon/messages/core-ways';
import taxa from '../data/taxa.json' with { type: 'json' };
import { said } from '../said';
import { taxonSchema, type Taxon } from './taxon';

/** What the file names by id is said in the language that is read. */
const inWords = (taxon: Taxon): Taxon => ({
  ...taxon,
  /** `Jade plant; Money plant` of the catalogue of messages. */
  get common() {
    return names(camel(taxon.id))?.split('; ') ?? [];
  },
  methods: taxon.methods.map((way) => said(way, 'why', ways)),
  not: taxon.not.map((way) => said(way, 'why', ways)),
  hazards: taxon.hazards.map((hazard) => said(hazard, 'part', parts)),
});

const camel = (id: string): string =>
  id.replace(/-(\w)/g, (_, letter: string) => letter.toUpperCase());

/** The plants that ship, by name; every figure of theirs carries its own evidence. */
export const CATALOGUE: readonly Taxon[] = z.array(taxonSchema).parse(taxa).map(inWords);
