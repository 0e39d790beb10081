import { KEPT_NAME } from './keptName';

const KEPT_HEADER = `x-${KEPT_NAME}`;

/** So many pages are kept; of more the ones that were not seen for longest go. */
const MOST_PAGES = 80;

/** The part of a browser's cache that is needed here. */
export type PageShelf = Pick<Cache, 'match' | 'put' | 'keys' | 'delete'>;

export interface KeeperDeps {
  readonly shelf: () => Promise<PageShelf>;
  /** Asks the server; fails when it can't be reached. */
  readonly fetch: (request: Request) => Promise<Response>;
  readonly nowMs: () => number;
  readonly wait: (ms: number) => Promise<void>;
  /** For what was never seen on this device. @param others pages that are here instead, newest first */
  readonly noPage: (others: readonly KeptPage[]) => Promise<Response>;
}

export interface KeptPage {
  readonly url: string;
  readonly title: string;
}

const isPage = (response: Response): boolean =>
  response.ok && (response.headers.get('content-type') ?? '').startsWith('text/html');

/** At the bench nobody waits for a server that does not answer: what is new comes into the page by itself. */
const isBench = (url: string): boolean => /^\/k\/[^/]+\/bench\/./.test(new URL(url).pathname);
const BENCH_PATIENCE_MS = 2500;

const LOOSE = { ignoreVary: true };

/**
 * Every page as the server drew it last, so that it is there again when the server is not. The server comes first wherever it answers;
 * what it says of its own trouble holds only where nothing was kept.
 */
export class PageKeeper {
  constructor(private readonly deps: KeeperDeps) {}

  /** A page, from the server or as it was. */
  async page(request: Request): Promise<Response> {
    const asked = this.deps.fetch(request).then(
      async (response) => {
        if (isPage(response) && !response.redirected) await this.put(request.url, response.clone());
        return response;
      },
      () => null,
    );
    const answer = isBench(request.url)
      ? await Promise.race([asked, this.deps.wait(BENCH_PATIENCE_MS).then(() => null)])
      : await asked;
    if (answer && answer.status < 500) return answer;
    const before = await this.find(request.url);
    if (before) return shown(before);
    // nothing here: then what the server says, however late
    const late = answer ?? (await asked);
    if (late) return late;
    const others = await this.list();
    const today = others.find(({ url }) => /^\/k\/[^/]+$/.test(new URL(url).pathname));
    // an application that is opened from a device's own screen begins there
    return new URL(request.url).pathname === '/' && today
      ? Response.redirect(today.url)
      : this.deps.noPage(others);
  }

  /** Has these pages by, without anybody looking at them now. */
  async keep(urls: readonly string[]): Promise<void> {
    for (const url of urls) {
      try {
        const response = await this.deps.fetch(new Request(url, { headers: { accept: 'text/html' } }));
        if (isPage(response) && !response.redirected) await this.put(url, response);
        // what is no longer there for good
        else if (response.status === 404) await (await this.deps.shelf()).delete(url, LOOSE);
      } catch {
        // not now; as it was it stays
      }
    }
  }

  private async put(url: string, response: Response): Promise<void> {
    const headers = new Headers(response.headers);
    headers.set(KEPT_HEADER, String(this.deps.nowMs()));
    try {
      const shelf = await this.deps.shelf();
      const body = await response.text();
      // out and in again: the order on the shelf is that of the last look
      await shelf.delete(url, LOOSE);
      await shelf.put(url, new Response(body, { status: response.status, headers }));
      const pages = await shelf.keys();
      for (const old of pages.slice(0, Math.max(0, pages.length - MOST_PAGES)))
        await shelf.delete(old, LOOSE);
    } catch {
      // no room: the page is shown all the same
    }
  }

  /** The very page, or the same one with something else asked of it. */
  private async find(url: string): Promise<Response | undefined> {
    const shelf = await this.deps.shelf();
    return (await shelf.match(url, LOOSE)) ?? (await shelf.match(url, { ...LOOSE, ignoreSearch: true }));
  }

  private async list(): Promise<KeptPage[]> {
    const shelf = await this.deps.shelf();
    const pages = await Promise.all(
      (await shelf.keys()).map(async ({ url }) => {
        const text = (await (await shelf.match(url, LOOSE))?.text()) ?? '';
        return { url, title: /<title>([^<]*)<\/title>/.exec(text)?.[1] ?? '' };
      }),
    );
    return pages.filter(({ title }) => title !== '').reverse();
  }
}

/** As it was put by, telling since when. */
async function shown(response: Response): Promise<Response> {
  const keptAt = response.headers.get(KEPT_HEADER) ?? '';
  const text = await response.text();
  const marked = text.replace(
    /<head[^>]*>/,
    (head) => `${head}<meta name="${KEPT_NAME}" content="${keptAt}">`,
  );
  return new Response(marked, { status: 200, headers: response.headers });
}
