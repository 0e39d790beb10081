/** Computed for nobody: all who waited have left, or there are too many before it. */
export class NotComputed extends Error {
  // told by its name: the host and the application are two bundles, each with a class of its own
  override readonly name = 'NotComputed';
}
export const isNotComputed = (error: unknown): boolean =>
  error instanceof Error && error.name === 'NotComputed';

interface UnderWay<T> {
  waiting: number;
  readonly nobody: AbortController;
  readonly answer: Promise<T>;
}

/** Work that several may wait for: begun by the first, shared by all, and given up when the last one has left. */
export class Shared<T> {
  readonly #underWay = new Map<string, UnderWay<T>>();

  /**
   * @param gone tells that this one waits no longer
   * @returns null where it was not computed: the asker left, or the work says {@link NotComputed}
   */
  async get(
    key: string,
    gone: AbortSignal | undefined,
    compute: (nobody: AbortSignal) => Promise<T>,
  ): Promise<{ readonly value: T } | null> {
    if (gone?.aborted) return null;
    const work = this.#underWay.get(key) ?? this.#begin(key, compute);
    work.waiting += 1;
    const leave = (): void => {
      work.waiting -= 1;
      if (work.waiting > 0) return;
      // whoever comes now begins anew
      if (this.#underWay.get(key) === work) this.#underWay.delete(key);
      work.nobody.abort();
    };
    gone?.addEventListener('abort', leave, { once: true });
    try {
      return { value: await work.answer };
    } catch (error) {
      if (isNotComputed(error)) return null;
      throw error;
    } finally {
      gone?.removeEventListener('abort', leave);
    }
  }

  #begin(key: string, compute: (nobody: AbortSignal) => Promise<T>): UnderWay<T> {
    const nobody = new AbortController();
    const answer = compute(nobody.signal).finally(() => {
      if (this.#underWay.get(key)?.nobody === nobody) this.#underWay.delete(key);
    });
    const work = { waiting: 0, nobody, answer };
    this.#underWay.set(key, work);
    return work;
  }
}
