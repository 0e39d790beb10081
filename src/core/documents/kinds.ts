import { BAKE_ACTION_VERSION } from '../bake/bakeActionVersion';
import * as z from 'zod';
import { bakeActionSchema, type BakeAction } from '../bake/bakeEvent';
import { batchRequestSchema } from '../batch/batchRequest';
import { batchSheetSchema } from '../batch/batchSheet';
import { ordinaryScales } from '../batch/scale';
import { dayDocumentSchema, type DayDocument } from '../day/dayDocument';
import { ordersDocumentSchema, type OrdersDocument } from '../orders/orderDocument';
import { startersDocumentSchema, type StartersDocument } from '../starter/starterDocument';
import { lifeDocumentSchema, type LifeDocument } from '../day/lifeDocument';
import { formulaSchema, type Formula } from '../formula/formulaSchema';
import { sizeFromWords } from '../formula/sizeFromWords';
import { kitchenEntrySchema, type KitchenEntry } from '../ingredients/kitchenEntrySchema';
import { kitchenDetailsSchema, type KitchenDetails } from '../kit/kitchenDetails';
import { kitSchema, type Kit } from '../kit/kitSchema';
import { withRoom } from '../kit/kit';
import { PLAIN_WAYS } from '../kit/plainWays';
import { processFromWords } from '../process/fromWords';
import { forecastSchema, type Forecast } from '../record/forecastSchema';
import type { DocumentKind } from './documentKind';

/**
 * 2: what shaping says of a piece's size stands in its field; the first version was computed from the words each time. 3: a flattened ball is
 * a shape. 4: parts by what they are for, steps that say in fields what their words said, ways.
 */
export const FORMULA: DocumentKind<Formula> = {
  name: 'formula',
  version: 4,
  schema: formulaSchema,
  upgrades: { 1: sizeFromWords, 2: (formula) => formula, 3: processFromWords },
};

const isSheet = (sheet: unknown): sheet is Readonly<Record<string, unknown>> =>
  typeof sheet === 'object' && sheet !== null && !Array.isArray(sheet);

/** How much was asked for, and the sheet that was made of it: what a bake keeps. 2: with the bags that were open. 3: steps as in a formula's fourth version. 4: a dough in several mixes. 5: what is left of a sauce; what is done on a later day. 6: ladders. */
const bakePlanSchema = z.strictObject({ batch: batchRequestSchema, sheet: batchSheetSchema });
export type BakePlan = z.infer<typeof bakePlanSchema>;
export const BAKE_PLAN: DocumentKind<BakePlan> = {
  name: 'bakePlan',
  version: 6,
  schema: bakePlanSchema,
  upgrades: {
    1: (plan) => plan,
    2: (plan) => ({ ...plan, sheet: isSheet(plan.sheet) ? processFromWords(plan.sheet) : plan.sheet }),
    3: (plan) => plan,
    4: (plan) => plan,
    5: (plan) => plan,
  },
};

/** What happened before a version reads the same in it. */
export const BAKE_ACTION: DocumentKind<BakeAction> = {
  name: 'bakeAction',
  version: BAKE_ACTION_VERSION,
  schema: bakeActionSchema,
  upgrades: {
    1: (action) => action,
    2: (action) => action,
    3: (action) => action,
    4: (action) => action,
    5: (action) => action,
    6: (action) => action,
    7: (action) => action,
    8: (action) => action,
    9: (action) => action,
    10: (action) => action,
  },
};

/** 2: the kitchen's scales live here, by range, in the place of one step that nothing was weighed by. 3: more kinds of oven, and how hot each goes. 4: sizes, vessels, places. */
export const KIT: DocumentKind<Kit> = {
  name: 'kit',
  version: 4,
  schema: kitSchema,
  upgrades: {
    1: ({ scaleG: _, ...kit }) => ({ ...kit, scales: ordinaryScales }),
    2: (kit) => kit,
    3: withRoom,
  },
};

/** 2: a jar of yeast may be less lively than new. 3: bags are told apart, and what a mixture absorbs as a whole may be known. */
export const KITCHEN_ENTRY: DocumentKind<KitchenEntry> = {
  name: 'kitchenEntry',
  version: 3,
  schema: kitchenEntrySchema,
  upgrades: { 1: (entry) => entry, 2: (entry) => entry },
};

/** 2: height and scales are the kit's. 3: how numbers and times are written, who bakes and who eats. */
export const KITCHEN_DETAILS: DocumentKind<KitchenDetails> = {
  name: 'kitchenDetails',
  version: 3,
  schema: kitchenDetailsSchema,
  upgrades: {
    1: ({ altitudeM: _, scales: __, ...details }) => details,
    2: (details) => ({ ...details, ...PLAIN_WAYS }),
  },
};

/** What a kitchen is going to make, and when. 2: ovens that are not hot when they should be, how much there is of what is needed. 3: butter that is taken out. */
export const DAY: DocumentKind<DayDocument> = {
  name: 'day',
  version: 3,
  schema: dayDocumentSchema,
  upgrades: { 1: (day) => day, 2: (day) => day },
};

/** When hands are free in a kitchen. */
export const LIFE: DocumentKind<LifeDocument> = {
  name: 'life',
  version: 1,
  schema: lifeDocumentSchema,
  upgrades: {},
};

/** The starters of a kitchen, each with what happened to it. */
export const STARTERS: DocumentKind<StartersDocument> = {
  name: 'starters',
  version: 1,
  schema: startersDocumentSchema,
  upgrades: {},
};

/** What is ordered of a kitchen. */
export const ORDERS: DocumentKind<OrdersDocument> = {
  name: 'orders',
  version: 1,
  schema: ordersDocumentSchema,
  upgrades: {},
};

/** What the models said of a bake when it began. */
export const FORECAST: DocumentKind<Forecast> = {
  name: 'forecast',
  version: 1,
  schema: forecastSchema,
  upgrades: {},
};

export const DOCUMENT_KINDS: readonly DocumentKind<unknown>[] = [
  FORMULA,
  BAKE_PLAN,
  BAKE_ACTION,
  KIT,
  KITCHEN_ENTRY,
  KITCHEN_DETAILS,
  DAY,
  FORECAST,
  LIFE,
  STARTERS,
  ORDERS,
];
