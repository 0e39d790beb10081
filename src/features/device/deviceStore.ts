/**
 * What is so on this device and on no other: how its scale is used, whether its bell may ring. Saved in the browser, there after a reload; what nobody can
 * read any more counts as nothing said.
 */
export class DeviceStore<T extends object> {
  private readonly listeners = new Set<() => void>();
  private known: T | null = null;

  constructor(
    private readonly key: string,
    /** What was found there, as far as it can be read; null: it can't. */
    private readonly readFound: (found: unknown) => T | null,
    private readonly plain: T,
    private readonly storage: () => Storage | null = () =>
      typeof localStorage === 'undefined' ? null : localStorage,
  ) {}

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  read = (): T => {
    if (this.known) return this.known;
    let found: unknown = null;
    try {
      found = JSON.parse(this.storage()?.getItem(this.key) ?? 'null');
    } catch {
      // a private window has no storage: what is said holds until the page is left
    }
    this.known = this.readFound(found) ?? this.plain;
    return this.known;
  };

  readonly onServer = (): T => this.plain;

  change(part: Partial<T>): void {
    this.known = { ...this.read(), ...part };
    try {
      this.storage()?.setItem(this.key, JSON.stringify(this.known));
    } catch {
      // full, or forbidden
    }
    this.listeners.forEach((listener) => listener());
  }
}
