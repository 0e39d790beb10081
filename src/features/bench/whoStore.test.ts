/** @jest-environment jsdom */
import { whoIsAt, whoStore } from './whoStore';

test('who stands here is known after a reload, kitchen by kitchen; no press is lost for a name that could not be kept', () => {
  const here = whoStore('here');
  expect(whoIsAt('here')).toBeNull();
  here.change({ who: 'Imke' });
  expect([whoIsAt('here'), whoIsAt('there'), whoStore('here') === here]).toEqual(['Imke', null, true]);
  expect(JSON.parse(localStorage.getItem('crumb-who:here')!)).toEqual({ who: 'Imke', names: [] });
  // sixty letters are a name in the kitchen’s own list, too
  here.change({ who: 'x'.repeat(60) });
  expect(whoIsAt('here')).toHaveLength(60);
  for (const who of ['x'.repeat(61), 'a\u0000b', ' ']) {
    here.change({ who });
    expect(whoIsAt('here')).toBeNull();
  }
  localStorage.setItem('crumb-who:torn', '{"who":');
  localStorage.setItem('crumb-who:odd', '{"who":"a\\u0000b","names":[]}');
  expect([whoIsAt('torn'), whoIsAt('odd')]).toEqual([null, null]);
});
