/** Whether this device may still ask: what was answered last says so. */
let isPaired = true;
const listeners = new Set<() => void>();

export function answeredPaired(paired: boolean): void {
  if (paired === isPaired) return;
  isPaired = paired;
  listeners.forEach((listener) => listener());
}

/** For `useSyncExternalStore`. */
export const pairing = {
  subscribe: (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
  isPaired: (): boolean => isPaired,
};
