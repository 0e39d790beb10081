'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { Kit } from '@/core/kit';
import { newUuid } from '@/ui/newUuid';
import { ask } from '../asking/ask';

export type KitSave = 'kept' | 'keeping' | 'stale' | 'unreachable' | 'refused';

interface KeptKit {
  readonly version: number;
  readonly kit: Kit;
}

/** So long after the last key it is sent. */
const QUIET_MS = 500;
const AGAIN_MS = 4000;

/**
 * Keeps the kit behind the screen: after a moment of quiet, and before the page goes. One request at a time; what could not be sent is
 * sent again under the same id. Somebody else's change in between is said, never overwritten.
 */
class KitKeeper {
  private wanted: Kit | null = null;
  private sending: { readonly kit: Kit; readonly requestId: string } | null = null;
  private busy = false;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private tell: (save: KitSave) => void = () => undefined;

  /** What was asked for last, to the letter: putting back what stands there already is no change. */
  private last: string;

  constructor(
    private version: number,
    kit: Kit,
  ) {
    this.last = JSON.stringify(kit);
  }

  /** Who is told how it stands; null: nobody any more. */
  listen(tell: ((save: KitSave) => void) | null): void {
    this.tell = tell ?? (() => undefined);
  }

  want(kit: Kit): void {
    const text = JSON.stringify(kit);
    if (text === this.last) return;
    this.last = text;
    this.wanted = kit;
    this.tell('keeping');
    this.later(QUIET_MS);
  }

  later(ms: number): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.send(), ms);
  }

  async send(leaving = false): Promise<void> {
    clearTimeout(this.timer);
    if (this.busy) return;
    if (!this.sending) {
      if (!this.wanted) return;
      this.sending = { kit: this.wanted, requestId: newUuid() };
      this.wanted = null;
    }
    this.busy = true;
    const { kit, requestId } = this.sending;
    const answer = await ask<KeptKit>(
      '/api/kit',
      { requestId, seen: this.version, kit },
      { keepalive: leaving },
    );
    this.busy = false;
    if (answer.kind === 'unreachable') {
      this.tell('unreachable');
      this.later(AGAIN_MS);
      return;
    }
    this.sending = null;
    if (answer.kind !== 'ok') return this.tell(answer.kind === 'stale' ? 'stale' : 'refused');
    this.version = answer.value.version;
    if (this.wanted) return this.send();
    this.tell('kept');
  }
}

/** The kit as it is being changed: shown at once, kept soon after. */
export function useKit(kept: KeptKit) {
  const router = useRouter();
  const [kit, setKit] = useState(kept.kit);
  const [save, setSave] = useState<KitSave>('kept');
  const [keeper] = useState(() => new KitKeeper(kept.version, kept.kit));
  useEffect(() => {
    // pages that were loaded before reckon with it from now on
    keeper.listen((now) => {
      setSave(now);
      if (now === 'kept') router.refresh();
    });
    return () => keeper.listen(null);
  }, [keeper, router]);
  useEffect(() => {
    const flush = () => void keeper.send(true);
    window.addEventListener('pagehide', flush);
    return () => {
      window.removeEventListener('pagehide', flush);
      flush();
    };
  }, [keeper]);
  const change = (next: Kit) => {
    setKit(next);
    keeper.want(next);
  };
  return { kit, change, save };
}
