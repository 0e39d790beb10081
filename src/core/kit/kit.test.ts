import { plainLoaf } from '../formula/testFormulas';
import { newStep } from '../method';
import { ORDINARY_KIT, ovenFor, roomOf, runKitchenOf, type Kit } from '.';

const oven = (id: string, part: Partial<Kit['ovens'][number]> = {}): Kit['ovens'][number] => ({
  ...ORDINARY_KIT.ovens[0]!, id, name: id, ...part,
}); // prettier-ignore
const kit: Kit = {
  ...ORDINARY_KIT,
  ovens: [oven('range', { floorLengthCm: 44, floorWidthCm: 36, shelves: 2 }), oven('deck')],
  ovenId: 'range',
  plates: [
    { id: 's', name: 's', kind: 'stone', thickMm: null, lengthCm: 38, widthCm: 36 },
    { id: 'p', name: 'p', kind: 'castIron', thickMm: null, lengthCm: 24, round: true, count: 2 },
    { id: 't', name: 't', kind: 'tray', thickMm: 1, lengthCm: 42 },
  ],
  tins: [
    { id: 'a', name: 'a', kind: 'dark', lengthCm: 24, widthCm: 10, heightCm: 9, count: 2 },
    { id: 'b', name: 'b', kind: 'dark', lengthCm: 15, widthCm: 8, heightCm: 6 },
  ],
  vessels: [
    { id: 'm', name: 'm', kind: 'mixer', litres: 5, acrossCm: null, mostDoughG: null },
    { id: 'n', name: 'n', kind: 'mixer', litres: null, acrossCm: null, mostDoughG: 1500 },
    { id: 'w', name: 'w', kind: 'bowl', litres: 10, acrossCm: null, mostDoughG: null },
    { id: 'k', name: 'k', kind: 'kettle', litres: null, acrossCm: 28, mostDoughG: null },
  ],
  places: [
    { id: 'x', name: 'x', kind: 'prover', tempC: 31, humidityPercent: 50, lengthCm: null, widthCm: null, shelves: null },
    { id: 'y', name: 'y', kind: 'ovenLight', tempC: 26, humidityPercent: null, lengthCm: null, widthCm: null, shelves: 1 },
  ],
}; // prettier-ignore

test('the oven: that of its first baking, else the formula’s, else the usual one; one that is gone is passed over', () => {
  const bake = (ovenId?: string) => ({ ...newStep('bake', 'b'), ...(ovenId && { heat: { ovenId } }) });
  const id = (steps: ReturnType<typeof bake>[], bakedIn?: string) =>
    ovenFor(kit, {
      steps,
      ...(bakedIn && { bakedAs: { shape: 'roll' as const, lengthCm: null, widthCm: null, tin: null, perLoad: null, ovenId: bakedIn } }),
    })?.id; // prettier-ignore
  expect([id([bake()]), id([bake()], 'deck'), id([bake('deck')], 'range'), id([bake('gone')], 'gone')]).toEqual([
    'range', 'deck', 'deck', 'range',
  ]); // prettier-ignore
});

test('room is what was measured, and nothing else', () => {
  const room = roomOf(kit, plainLoaf());
  expect(room.oven).toEqual({ floor: { lengthCm: 44, widthCm: 36, round: false }, shelves: 2 });
  // a tray of which only the length is known has no surface; a tin of which nobody said how many limits nothing
  expect(room.plates.map(({ kind, count }) => [kind, count])).toEqual([['stone', 1], ['castIron', 2]]); // prettier-ignore
  expect(room.plates[1]!.surface).toEqual({ lengthCm: 24, widthCm: 24, round: true });
  expect(room.tins.map(({ lengthCm }) => lengthCm)).toEqual([24]);
  // by machine the larger of two mixers, 0.42 kg to the litre; by hand the bowl
  expect(room.mixG).toBeCloseTo(2100, 9);
  expect(roomOf({ ...kit, mixer: { ...kit.mixer, kind: 'hand' } }, plainLoaf()).mixG).toBeCloseTo(4200, 9);
  expect([room.kettleCm, room.panCm, room.fryerCm]).toEqual([28, null, null]);
  expect(roomOf(ORDINARY_KIT, plainLoaf())).toMatchObject({ plates: [], tins: [], mixG: null });
});

test('the run asks the prover’s own warmth and air, and what it has room for', () => {
  const kitchen = runKitchenOf(kit, plainLoaf());
  expect(kitchen.places).toEqual({
    prover: { tempC: 31, humidityPercent: 50 },
    ovenLight: { tempC: 26, humidityPercent: null },
  });
  expect(kitchen.room?.kettleCm).toBe(28);
});
