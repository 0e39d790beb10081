/** @jest-environment jsdom */
import { scaleStore } from './scaleStore';

const PLAIN = { way: 'zero', bowlG: 0, jug: '', jugs: [] };
const JUGS = { way: 'jug', bowlG: 412, jug: 'Blue', jugs: [{ name: 'Blue', massG: 655.5 }] };

test('how the scale is used is known after a reload; what nobody can read counts as nothing said', () => {
  scaleStore('here').change({ way: 'jug', bowlG: 412, jug: 'Blue', jugs: [{ name: 'Blue', massG: 655.5 }] });
  expect(scaleStore('here').read()).toEqual(JUGS);
  expect(scaleStore('there').read()).toEqual(PLAIN);
  const found = (text: string) => {
    localStorage.setItem('crumb-scale:odd', text);
    return scaleStore('odd').read();
  };
  expect(found(JSON.stringify(JUGS))).toEqual(JUGS);
  for (const odd of [
    { ...JUGS, way: 'twice' },
    { ...JUGS, bowlG: -1 },
    { ...JUGS, bowlG: '412' },
    { ...JUGS, jug: 7 },
    { ...JUGS, jugs: [{ name: ' ', massG: 5 }] },
    { ...JUGS, jugs: [{ name: 'Blue', massG: 0 }] },
    { ...JUGS, jugs: Array(21).fill(JUGS.jugs[0]) },
    [],
    null,
  ])
    expect(found(JSON.stringify(odd))).toEqual(PLAIN);
  expect(found('{"way":')).toEqual(PLAIN);
});
