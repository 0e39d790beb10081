/**
 * ./crumb stand-in KIND KEY: stands in for an instrument that is not there, and tells a kitchen that runs what it shows, as a bridge would. What is
 * typed is what is on it (g) or around it (°C); "zero" presses its button; "garbage" sends nonsense; "silent" and "back" cut its line.
 */
import { createInterface } from 'node:readline';
import { INSTRUMENT_KINDS, type InstrumentKind } from '@/core/instrument/instrumentKinds';
import { KITCHEN_SCALE, ProbeStandIn, ScaleStandIn } from '@/core/instrument/standIn';
import { Bridge } from './standIn/bridge';

const TICK_S = 0.2;

const isKind = (word: string | undefined): word is InstrumentKind =>
  INSTRUMENT_KINDS.some((kind) => kind === word);
const [kind, key] = process.argv.slice(2);
if (!isKind(kind) || !key) {
  console.error(`Which instrument, and its key? One of: ${INSTRUMENT_KINDS.join(', ')}`);
  process.exit(1);
}
const bridge = new Bridge(`http://127.0.0.1:${process.env.PORT ?? 4310}`, key);
const seed = Math.floor(Math.random() * 2 ** 31);
const scale = kind === 'scale' ? new ScaleStandIn(KITCHEN_SCALE, seed) : null;
const probe = kind === 'scale' ? null : new ProbeStandIn(kind, seed, 20);
let around = kind === 'scale' ? 0 : 20;
let line: 'open' | 'silent' | 'garbage' = 'open';

createInterface({ input: process.stdin }).on('line', (typed) => {
  const word = typed.trim();
  if (word === 'zero') scale?.zero();
  else if (word === 'silent' || word === 'garbage') line = word;
  else if (word === 'back') line = 'open';
  else if (word === 'tally') console.log(bridge.tally);
  else if (word !== '' && Number.isFinite(Number(word))) around = Number(word);
  else console.log('A number, zero, garbage, silent, back or tally.');
});

setInterval(() => {
  const shown = scale ? scale.advance(TICK_S, around) : probe!.advance(TICK_S, around);
  bridge.show(line === 'garbage' ? '\u0000{]' : shown);
  if (line !== 'silent') void bridge.send();
}, TICK_S * 1000);
