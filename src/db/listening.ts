import pg from 'pg';

const CHANNEL = 'crumb_news';
/** An idle connection may be dead without saying so (a frozen server, a cable): it is asked so often. */
const CHECK_MS = 15_000;
const ANSWER_MS = 5000;
const AGAIN_MS = [250, 500, 1000, 2000];

export interface ListeningTo {
  readonly notice: (payload: string) => void;
  /** It listens from now on, or no longer: what was said in between was not heard. */
  readonly heard: (isListening: boolean) => void;
}

/**
 * Hears what any process tells about this database, on a connection of its own that is opened again for as long as somebody listens.
 *
 * @param url asked for at each opening: a killed database may come back on another port
 * @returns how to stop
 */
export function listen(url: () => string, { notice, heard }: ListeningTo): () => void {
  let stopped = false;
  let failures = 0;
  let current: pg.Client | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;

  const open = async (): Promise<void> => {
    const client = new pg.Client({
      connectionString: url(),
      connectionTimeoutMillis: ANSWER_MS,
      query_timeout: ANSWER_MS,
      keepAlive: true,
      application_name: 'honest-crumb news',
    });
    current = client;
    let isOver = false;
    const lost = (): void => {
      if (isOver) return;
      isOver = true;
      clearTimeout(timer);
      client.end().catch(() => undefined);
      if (stopped) return;
      heard(false);
      timer = setTimeout(() => void open(), AGAIN_MS[Math.min(failures++, AGAIN_MS.length - 1)]);
    };
    const check = (): void => {
      if (isOver || stopped) return;
      timer = setTimeout(() => void client.query('select 1').then(check, lost), CHECK_MS);
    };
    client.on('error', lost);
    client.on('end', lost);
    client.on('notification', ({ payload }) => notice(payload ?? ''));
    try {
      await client.connect();
      await client.query(`listen ${CHANNEL}`);
      if (isOver) return;
      if (stopped) return lost();
      failures = 0;
      heard(true);
      check();
    } catch {
      lost();
    }
  };
  void open();
  return () => {
    stopped = true;
    clearTimeout(timer);
    current?.end().catch(() => undefined);
  };
}
