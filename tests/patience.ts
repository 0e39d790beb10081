// a slow machine beside other tests is no failure
jest.setTimeout(60_000);
