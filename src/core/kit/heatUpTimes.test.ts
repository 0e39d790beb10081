import { heatUpTimes } from './heatUpTimes';
import { ORDINARY_KIT } from './index';

test('a stone takes longer than the air, hotter longer than less hot; an oven that never gets there says so', () => {
  const [oven] = ORDINARY_KIT.ovens;
  const of = heatUpTimes(ORDINARY_KIT, oven);
  const [air, stone, hotter] = [
    of({ ovenId: null, setC: 200, plate: null }),
    of({ ovenId: oven!.id, setC: 200, plate: 'stone' }),
    of({ ovenId: null, setC: 250, plate: null }),
  ];
  // an ordinary oven is at 200 °C in 8 to 20 minutes
  expect(air).toBeGreaterThan(8 * 60);
  expect(air).toBeLessThan(20 * 60);
  expect(stone).toBeGreaterThan(air! * 1.5);
  expect(hotter).toBeGreaterThan(air!);
  expect(of({ ovenId: 'gone', setC: 200, plate: null })).toBe(air);
  expect(of({ ovenId: null, setC: 500, plate: null })).toBeNull();
  expect(
    heatUpTimes({ ...ORDINARY_KIT, ovens: [] }, undefined)({ ovenId: null, setC: 200, plate: null }),
  ).toBeNull();
});
