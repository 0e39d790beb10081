/** What tells its readings by itself. */
export const INSTRUMENT_KINDS = [
  'scale',
  'doughProbe',
  'coreProbe',
  'oilProbe',
  'ovenProbe',
  'roomProbe',
] as const;
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];
export type ProbeKind = Exclude<InstrumentKind, 'scale'>;

/** What none of its kind can show, g or °C: beyond it is noise on a wire. A scale shows what was taken off it as less than nothing. */
export const POSSIBLE: Readonly<Record<InstrumentKind, { readonly min: number; readonly max: number }>> = {
  scale: { min: -60_000, max: 60_000 },
  doughProbe: { min: -30, max: 110 },
  coreProbe: { min: -40, max: 220 },
  oilProbe: { min: -20, max: 300 },
  ovenProbe: { min: -20, max: 550 },
  roomProbe: { min: -30, max: 60 },
};

/** What a probe's figure is, in the words of a bake's log. */
export const READS = {
  doughProbe: 'dough',
  coreProbe: 'core',
  oilProbe: 'oil',
  ovenProbe: 'oven',
  roomProbe: 'room',
} as const;

/** In what steps a scale may show, g. */
export const SCALE_STEPS_G = [0.01, 0.1, 0.5, 1, 2, 5] as const;

export const INSTRUMENT_LIMITS = { name: 40, perKitchen: 60 } as const;
