import * as z from 'zod';

const figure = z.number().finite();
const range = z.strictObject({ value: figure, low: figure, high: figure });
/** Of something that may never come: null where it does not. */
const maybe = z.strictObject({ value: figure.nullable(), low: figure.nullable(), high: figure.nullable() });
const series = z.array(figure).max(80);

/**
 * What the models said of a bake as it was planned, with the kitchen as it was known then: the middle and eight of ten. Saved once and never changed,
 * so that they can be held to it.
 */
export const forecastSchema = z.strictObject({
  /** Made from this very sheet and kit when it began, or afterwards: ms since 1970. */
  madeAtMs: z.number().int(),
  roomC: figure,
  /** The dough as mixing ends, °C. */
  doughC: figure,
  /** Saturation of the rested dough; null: no model of it. */
  feel: range.nullable(),
  /** Volume over that from the bowl, s from the end of mixing. */
  rise: z.strictObject({ atS: series, volume: series, low: series, high: series }),
  /** As it is planned to go into the heat. */
  grown: range,
  /** When it is ready, s from the end of mixing. */
  readyS: maybe,
  heat: z
    .strictObject({
      /** When its crumb is set, s from loading; its core and loss as it comes out; until it may be cut, s from then. */
      setS: maybe,
      coreC: range,
      lost: range,
      coolS: maybe,
      brownTop: range,
      brownBase: range,
      heightToWidth: figure.nullable(),
    })
    .nullable(),
});
export type Forecast = Readonly<z.infer<typeof forecastSchema>>;
