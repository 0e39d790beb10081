import type { Call } from '@/core/batch';

/** "Rolls, load 2 of 3 (6 pieces), side 1": which of several calls this is. Empty where it is the only one. */
export function wordCall(call: Call | null): string {
  if (!call) return '';
  const { wayName, load, side, time, pieces, mix } = call;
  const amount = load && pieces !== null ? ` (${pieces} ${pieces === 1 ? 'piece' : 'pieces'})` : '';
  return [
    wayName ?? '',
    mix ? `mix ${mix.at} of ${mix.of}` : '',
    load ? `load ${load.at} of ${load.of}${amount}` : '',
    side ? `side ${side.at} of ${side.of}` : '',
    time ? `time ${time.at} of ${time.of}` : '',
  ]
    .filter(Boolean)
    .join(', ');
}
