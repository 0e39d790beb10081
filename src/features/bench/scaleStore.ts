import * as z from 'zod';

const massG = z.number().min(0).max(50_000);
const scaleSchema = z.strictObject({
  /** Zeroed before each thing; the display goes on; each thing in a jug too heavy, or too useful, to zero. */
  way: z.enum(['zero', 'running', 'jug']),
  bowlG: massG,
  jug: z.string().max(40),
  jugs: z.array(z.strictObject({ name: z.string().trim().min(1).max(40), massG: massG.min(0.1) })).max(20),
});
export type ScaleUse = z.infer<typeof scaleSchema>;

const PLAIN: ScaleUse = { way: 'zero', bowlG: 0, jug: '', jugs: [] };

/**
 * How the scale of this device's kitchen is used, and which jugs stand there: saved in the browser, so that it is the same after a reload and at the next
 * bake. It is about the bench this device lies on: another has its own scale.
 */
export class ScaleStore {
  private readonly listeners = new Set<() => void>();
  private known: ScaleUse | null = null;

  constructor(
    private readonly kitchen: string,
    private readonly storage: () => Storage | null,
  ) {}

  private get key(): string {
    return `crumb-scale:${this.kitchen}`;
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** What nobody can read any more counts as nothing said. */
  read = (): ScaleUse => {
    if (this.known) return this.known;
    let found: unknown = null;
    try {
      found = JSON.parse(this.storage()?.getItem(this.key) ?? 'null');
    } catch {
      // private windows have no storage: it is known until the page is left
    }
    const read = scaleSchema.safeParse(found);
    this.known = read.success ? read.data : PLAIN;
    return this.known;
  };

  readonly onServer = (): ScaleUse => PLAIN;

  change(part: Partial<ScaleUse>): void {
    this.known = { ...this.read(), ...part };
    try {
      this.storage()?.setItem(this.key, JSON.stringify(this.known));
    } catch {
      // full, or forbidden: it holds until the page is left
    }
    this.listeners.forEach((listener) => listener());
  }
}

/** What stands on the scale of itself: the bowl, or the jug that is used. */
export const vesselG = ({ way, bowlG, jug, jugs }: ScaleUse): number =>
  way === 'running' ? bowlG : way === 'jug' ? (jugs.find(({ name }) => name === jug)?.massG ?? 0) : 0;
