import type { InstrumentKind } from '@/core/instrument/instrumentKinds';

/** What tells by itself. */
export const INSTRUMENT_WORD: Readonly<Record<InstrumentKind, string>> = {
  scale: 'Scale',
  doughProbe: 'Dough thermometer',
  coreProbe: 'Core thermometer',
  oilProbe: 'Oil thermometer',
  ovenProbe: 'Oven thermometer',
  roomProbe: 'Room thermometer',
};
