import '../zod-setup';
import * as z from 'zod';
import { say as names } from '@hypogeon/messages/core-component-names';
import { say as dusts } from '@hypogeon/messages/core-dust';
import components from '../data/components.json' with { type: 'json' };
import { said } from '../said';
import { componentSchema, type Component } from './component';

/**
 * The components that ship. Grain, weight and water are from memory of suppliers' sheets and growers'
 * tables and differ from bag to bag: the jug test and the grower's own figures replace them.
 * Diffusivities follow from the desorptivities of bare soils, 3.3–5.1 mm d^-½ (Ritchie 1972), by
 * D = π S² / (4 Δθ²): sand about 1.5 cm²/d, grit 2, half organic 2.5, peat and coir 5. Loam is meant in crumbs:
 * sieved, it drains by the gaps between them.
 */
export const SHELF: readonly Component[] = z
  .array(componentSchema)
  .parse(components)
  .map((component) => said(said(component, 'name', names), 'dust', dusts));
