import { fireEvent, screen } from '@testing-library/react';
import { PREFERENCE_COOKIE, readPreferences, type Preferences } from '../preferences/preferences';
import { show } from '../testKitchen';
import { EARLY_KEYS } from './earlyKeys';
import { Shell } from './Shell';

const push = jest.fn<void, [string]>();
let path = '/k/test/formulas';
jest.mock('next/navigation', () => ({
  useRouter: () => ({ push, refresh: jest.fn() }),
  usePathname: () => path,
}));
jest.mock('next/dynamic', () => () => () => null);

const cookie = () => new RegExp(`${PREFERENCE_COOKIE}=([^;]*)`).exec(document.cookie)?.[1];
const press = (key: string, at: number, more: KeyboardEventInit = {}, target: Element | Window = window) => {
  const event = new KeyboardEvent('keydown', { key, bubbles: true, ...more });
  Object.defineProperty(event, 'timeStamp', { value: at });
  fireEvent(target, event);
};

/** The page's own code, and what stands in for it before it is there. */
const HOLDERS: Record<string, (preferences: Partial<Preferences>) => void> = {
  'the early script': ({ shortcuts = 'on' }) => {
    document.cookie = `${PREFERENCE_COOKIE}=day.g.C.metric.cm.${shortcuts}`;
    document.documentElement.dataset.light = 'day';
    // eslint-disable-next-line @typescript-eslint/no-implied-eval, @typescript-eslint/no-unsafe-call -- as the document runs it
    new Function('location', EARLY_KEYS)({ pathname: path, assign: push });
  },
  'the frame': (preferences) => {
    document.documentElement.dataset.light = 'day';
    show(<Shell name="Test">content</Shell>, preferences);
  },
};

describe.each(Object.keys(HOLDERS))('%s', (name) => {
  const listening: Parameters<typeof window.removeEventListener>[] = [];
  beforeEach(() => {
    push.mockClear();
    path = '/k/test/formulas';
    document.cookie = `${PREFERENCE_COOKIE}=;max-age=0`;
    const add = window.addEventListener.bind(window);
    jest.spyOn(window, 'addEventListener').mockImplementation((...each: Parameters<typeof add>) => {
      listening.push(each);
      add(...each);
    });
  });
  afterEach(() => {
    jest.restoreAllMocks();
    for (const each of listening.splice(0)) window.removeEventListener(...each);
  });
  const hold = (preferences: Partial<Preferences> = {}) => HOLDERS[name]?.(preferences);

  test('one key turns the lamp and back, and it is remembered', () => {
    hold();
    press('D', 0);
    expect(document.documentElement.dataset.light).toBe('dim');
    expect(readPreferences(cookie())).toEqual({ ...readPreferences(undefined), light: 'dim' });
    press('D', 10);
    expect(document.documentElement.dataset.light).toBe('day');
    expect(readPreferences(cookie())).toEqual(readPreferences(undefined));
  });

  test('g and a letter lead to every main page, the letter in time', () => {
    hold();
    let at = 5000;
    for (const key of 'tfikbl') {
      press('g', (at += 5000));
      press(key, at + 1100);
    }
    expect(push.mock.calls.map(([to]) => to.replace(/\/$/, ''))).toEqual(
      ['', '/formulas', '/ingredients', '/kit', '/bench', '/logbook'].map((page) => `/k/test${page}`),
    );
    press('f', 100_000);
    press('g', 110_000);
    press('f', 111_300);
    press('g', 120_000);
    press('x', 120_100);
    expect(push).toHaveBeenCalledTimes(6);
  });

  test('nothing while somebody types, nor with another key held', () => {
    hold();
    const field = document.body.appendChild(document.createElement('input'));
    press('D', 0, {}, field);
    for (const held of [{ ctrlKey: true }, { metaKey: true }, { altKey: true }]) press('D', 0, held);
    expect(document.documentElement.dataset.light).toBe('day');
    field.remove();
  });

  test('single keys turned off do nothing', () => {
    hold({ shortcuts: 'off' });
    press('D', 0);
    press('g', 5000);
    press('f', 5100);
    expect(document.documentElement.dataset.light).toBe('day');
    expect(push).not.toHaveBeenCalled();
  });
});

test('the early script steps back once the page answers itself', () => {
  HOLDERS['the frame']?.({});
  HOLDERS['the early script']?.({});
  expect(screen.getByRole('main')).toHaveAttribute('data-awake', 'true');
  press('D', 0);
  expect(document.documentElement.dataset.light).toBe('dim');
});
