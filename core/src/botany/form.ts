import { METHOD, type MethodId, type Piece } from './method';

/** How a plant is built, as one sees it from the side: what its pieces look like. */
export const FORMS = [
  'rosette',
  'stacked',
  'trailing',
  'strap',
  'globe',
  'column',
  'pad',
  'branch',
  'bare-branch',
  'stone',
  'tuber',
] as const;
export type Form = (typeof FORMS)[number];

/** By genus, as the plants are built. Common practice, no source. */
const BY_GENUS: Readonly<Record<string, Form>> = {
  Adenium: 'bare-branch',
  Adromischus: 'rosette',
  Aeonium: 'rosette',
  Agave: 'rosette',
  Aloe: 'rosette',
  Androsace: 'rosette',
  Aristaloe: 'rosette',
  Asclepias: 'branch',
  Austrocylindropuntia: 'column',
  Caputia: 'branch',
  Carpobrotus: 'trailing',
  Cereus: 'column',
  Ceropegia: 'trailing',
  Conophytum: 'stone',
  Cotyledon: 'branch',
  Crassothonna: 'trailing',
  Crassula: 'branch',
  Curio: 'trailing',
  Delosperma: 'branch',
  Disocactus: 'pad',
  Dracaena: 'strap',
  Dudleya: 'rosette',
  Echeveria: 'rosette',
  Echinopsis: 'globe',
  Epiphyllum: 'pad',
  Euphorbia: 'branch',
  Faucaria: 'stone',
  Gasteraloe: 'rosette',
  Gasteria: 'strap',
  Graptopetalum: 'rosette',
  Graptosedum: 'rosette',
  Graptoveria: 'rosette',
  Gymnocalycium: 'globe',
  Haberlea: 'rosette',
  Hatiora: 'pad',
  Haworthia: 'rosette',
  Haworthiopsis: 'rosette',
  Hoya: 'trailing',
  Huernia: 'column',
  Hylotelephium: 'branch',
  Jancaea: 'rosette',
  Jovibarba: 'rosette',
  Kalanchoe: 'branch',
  Lampranthus: 'branch',
  Ledebouria: 'tuber',
  Lewisia: 'rosette',
  Linum: 'branch',
  Lithops: 'stone',
  Lupinus: 'branch',
  Mammillaria: 'globe',
  Mesembryanthemum: 'trailing',
  Myrtillocactus: 'column',
  Opuntia: 'pad',
  Orbea: 'column',
  Orostachys: 'rosette',
  Pachyphytum: 'rosette',
  Pachyveria: 'rosette',
  Peperomia: 'branch',
  Petrosedum: 'stacked',
  Phedimus: 'branch',
  Plumeria: 'bare-branch',
  Portulacaria: 'branch',
  Primulina: 'rosette',
  Ramonda: 'rosette',
  Rebutia: 'globe',
  Rhipsalis: 'trailing',
  Rosularia: 'rosette',
  Saxifraga: 'rosette',
  Schlumbergera: 'pad',
  Sedum: 'branch',
  Selenicereus: 'column',
  Sempervivum: 'rosette',
  Stapelia: 'column',
  Trichocereus: 'column',
  Tylecodon: 'bare-branch',
  Xerosicyos: 'branch',
  Zamioculcas: 'tuber',
};

/** Those that are built otherwise than most of their genus. */
const BY_ID: Readonly<Record<string, Form>> = {
  'aloe-juvenna': 'stacked',
  'crassula-capitella': 'stacked',
  'crassula-marnieriana': 'stacked',
  'crassula-muscosa': 'stacked',
  'crassula-perforata': 'stacked',
  'crassula-rupestris': 'stacked',
  'euphorbia-lactea': 'column',
  'euphorbia-obesa': 'globe',
  'euphorbia-trigona': 'column',
  'euphorbia-tirucalli': 'bare-branch',
  'kalanchoe-luciae': 'rosette',
  'sedum-morganianum': 'trailing',
};

/** The genus in a name, a cross or not. */
export function genusOfName(name: string): string | undefined {
  const [first, second] = name.replace(/[×✕]\s*/g, '').split(' ');
  return first === 'x' || first === 'X' ? second : first;
}

/** How a plant is built. @returns null for a genus nobody has drawn yet */
export function formOf({ id, name }: { readonly id: string; readonly name: string }): Form | null {
  const genus = genusOfName(name);
  // Names are a grower's: `constructor` is a plant like any other, and no key of every object.
  if (Object.hasOwn(BY_ID, id)) return BY_ID[id]!;
  return genus !== undefined && Object.hasOwn(BY_GENUS, genus) ? BY_GENUS[genus]! : null;
}

/** What the growing top of a plant of that build looks like. */
const TOP: Readonly<Record<Form, Piece>> = {
  rosette: 'crown',
  stacked: 'stacked',
  trailing: 'trailing',
  strap: 'fan',
  globe: 'ball',
  column: 'column',
  pad: 'pad',
  branch: 'branch',
  'bare-branch': 'bare-branch',
  stone: 'stone',
  tuber: 'tuber',
};

/** Where a young one of the plant is not a small copy of its top. */
const YOUNG: Partial<Readonly<Record<Form, Piece>>> = { rosette: 'offset' };

/**
 * The shape a piece is drawn in: a crown of a stacked crassula is a stack, an offset of a cushion of globes a globe.
 * What is taken as a leaf, a section or a pad looks the same on every plant.
 */
export function pieceDrawn(method: MethodId, form: Form | null): Piece {
  const { piece } = METHOD[method];
  if (form === null) return piece;
  switch (piece) {
    case 'crown':
    case 'segment':
    case 'column':
      return piece === 'segment' && form === 'rosette' ? 'segment' : TOP[form];
    case 'offset':
      return YOUNG[form] ?? TOP[form];
    default:
      return piece;
  }
}
