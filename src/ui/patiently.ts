const AGAIN_MS = 3000;

/**
 * A part of a page that is fetched when the page stands. A network that is gone by then takes nothing of the page along: the part is
 * asked for again until it is there.
 */
export const patiently =
  <T>(load: () => Promise<T>) =>
  async (): Promise<T> => {
    for (;;) {
      try {
        return await load();
      } catch {
        await new Promise((again) => setTimeout(again, AGAIN_MS));
      }
    }
  };
