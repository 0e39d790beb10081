import { deviceMay } from './deviceMay';
import { DEVICE_MAY, pairingSchema, type DeviceMay } from './pairedDevice';

const BAKE = '0b9c1f6e-2f0a-4c1e-9a53-1f0e3c9f1a2b';
const asks = (may: DeviceMay, method: 'GET' | 'POST', path: string) =>
  deviceMay({ address: 'mill', may }, { path, isPage: !path.startsWith('/api'), writes: method === 'POST' });
const each = (method: 'GET' | 'POST', path: string) =>
  DEVICE_MAY.map((may) => asks(may, method, path)).join(' ');

test('a device reads its own kitchen and no other; elsewhere it is shown home', () => {
  for (const path of ['/k/mill', '/k/mill/bench/x', '/api/k/mill/timers', '/api/news', '/api/health', '/serviceWorker.js'])
    expect([path, each('GET', path)]).toEqual([path, 'yes yes yes']);
  for (const path of ['/', '/kitchens', '/kitchens/new', '/k/other', '/k/millrace', '/k/mil%6c', '/k/mill/%2e%2e/other', '/empty'])
    expect([path, each('GET', path)]).toEqual([path, 'home home home']);
  for (const path of ['/api/k/other/timers', '/api/k/-/timers', '/api/k/millrace', '/api/kitchens', '/api/bench/empty', '/api/k/mill/devices', '/api/k/mill/%64evices'])
    expect([path, each('GET', path)]).toEqual([path, 'no no no']);
}); // prettier-ignore

test('what it may write is what it was paired for; keys, devices and the end of a kitchen are this machine’s', () => {
  expect(each('POST', `/api/k/mill/bakes/${BAKE}/taps`)).toBe('no yes yes');
  expect(each('POST', `/api/k/mill/bakes/${BAKE}/photos/${BAKE}`)).toBe('no yes yes');
  expect(each('POST', '/api/k/mill/bakes')).toBe('no yes yes');
  for (const path of [`/api/k/mill/bakes/${BAKE}/slice`, '/api/k/mill/kit', '/api/k/mill/formulas', '/api/k/mill/day'])
    expect([path, each('POST', path)]).toEqual([path, 'no no yes']);
  for (const path of ['/api/k/mill/devices', '/api/k/mill/devices/x/withdrawal', '/api/k/mill/removal', '/api/k/mill/instruments', '/api/k/mill/instruments/x/withdrawal', '/api/k/mill/r%65moval', `/api/k/other/bakes/${BAKE}/taps`, '/api/kitchens', '/api/kitchens/import', '/api/news', '/api/pairing', '/k/mill'])
    expect([path, each('POST', path)]).toEqual([path, 'no no no']);
}); // prettier-ignore

test('a code is eight digits, read aloud in any groups', () => {
  const code = (text: string) => pairingSchema.safeParse({ code: text }).data?.code ?? null;
  expect(code(' 1234 5678 ')).toBe('12345678');
  for (const text of ['', '1234567', '123456789', '1234567a', '１２３４５６７８'])
    expect(code(text)).toBeNull();
});
