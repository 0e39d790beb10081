import type { RefusalKind } from './judge';

/** What is told of one refusal; made harmless, since a stranger wrote it. */
export interface Refused {
  readonly why: RefusalKind;
  readonly client: string;
  readonly method: string;
  readonly url: string;
  readonly host: string;
}

const harmless = (text: string, most: number): string => text.slice(0, most).replace(/[^\x20-\x7e]/g, '?');

/** So many lines of one kind a minute; how many more there were is told afterwards. */
const MOST_A_MINUTE = 10;

/** Writes refusals down, each kind a few a minute: a flood must not fill the disk through the log. */
export class RefusalLog {
  private counts = new Map<RefusalKind, number>();
  private minute = -1;

  constructor(private readonly write: (line: string) => void) {}

  note({ why, client, method, url, host }: Refused, nowMs: number): void {
    const minute = Math.floor(nowMs / 60_000);
    if (minute !== this.minute) {
      for (const [kind, count] of this.counts) {
        if (count > MOST_A_MINUTE) this.write(`refused (${kind}): ${count - MOST_A_MINUTE} more of the same`);
      }
      this.counts = new Map();
      this.minute = minute;
    }
    const count = (this.counts.get(why) ?? 0) + 1;
    this.counts.set(why, count);
    if (count > MOST_A_MINUTE) return;
    this.write(
      `refused (${why}): ${harmless(method, 12)} ${harmless(url, 120)} from ${harmless(client, 45)}, host ${harmless(host, 80)}`,
    );
  }
}
