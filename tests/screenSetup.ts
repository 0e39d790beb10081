import '@testing-library/jest-dom';

// a slow machine beside other tests is no failure
jest.setTimeout(30_000);

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
