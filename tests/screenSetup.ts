import '@testing-library/jest-dom';
import { configure } from '@testing-library/react';
import { loadDialog } from '@/ui/Dialog';

// a slow machine beside other tests is no failure
configure({ asyncUtilTimeout: 20_000 });

// what the search list asks of a browser and jsdom does not have
global.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
if (!('scrollIntoView' in Element.prototype))
  Object.assign(Element.prototype, { scrollIntoView: () => undefined });
// nothing comes into view where nothing is drawn
global.IntersectionObserver ??= class {
  readonly root = null;
  readonly rootMargin = '';
  readonly scrollMargin = '';
  readonly thresholds = [];
  observe() {}
  unobserve() {}
  disconnect() {}
  takeRecords() {
    return [];
  }
};

// each test begins with a browser in which nothing waits to be sent
beforeEach(() => {
  delete (globalThis as { crumbQueue?: unknown }).crumbQueue;
});

// a dialog is drawn at once, as in a browser that has fetched it
beforeAll(() => loadDialog());
