import type { Browser } from '@playwright/test';
import sharp from 'sharp';
import { testSlice, type Family } from '../src/core/photo/testSlices';
import { quantileOf } from '../src/core/numeric/quantile';
import type { Findings } from './findings';

const FAMILIES: readonly Family[] = ['plain', 'noise', 'seeds'];
const ROUNDS = 4;

/** A made-up slice of 12 megapixels as a camera would write it. */
async function cameraPicture(family: Family): Promise<Buffer> {
  const { width, height, rgba } = testSlice(family, 5, 900).picture;
  return sharp(rgba, { raw: { width, height, channels: 4 } })
    .resize(4000, 3000, { fit: 'cover' })
    .jpeg({ quality: 92 })
    .toBuffer();
}

interface Heard {
  readonly ms: number;
  readonly ok: boolean;
}

/** The product's own reader in its worker, given pictures of 12 megapixels as they are: from the question to the figures, decoding included. */
export async function benchPhoto(browser: Browser, url: string, logged: string, found: Findings): Promise<void> {
  const page = await browser.newPage({ baseURL: url, viewport: { width: 1280, height: 800 } });
  try {
    await page.addInitScript(() => {
      const Real = window.Worker;
      const seen: unknown[] = [];
      Object.assign(window, { seen });
      window.Worker = class extends Real {
        constructor(address: string | URL, options?: WorkerOptions) {
          super(address, options);
          this.addEventListener('message', ({ data }) => {
            if (typeof data === 'object' && data !== null && 'read' in data) seen.push([String(address), options]);
          });
        }
      };
    });
    await page.goto(logged);
    await page.waitForSelector('main[data-awake="true"]');
    const first = await cameraPicture('plain');
    await page
      .getByTestId('photos')
      .getByLabel('Choose a file')
      .setInputFiles({ name: 'cut.jpg', mimeType: 'image/jpeg', buffer: first });
    // the address of the reader is known once it has answered
    await page.waitForFunction(() => (window as unknown as { seen: unknown[] }).seen.length > 0, undefined, { timeout: 60_000 });
    const all: number[] = [];
    for (const family of FAMILIES) {
      const text = (await cameraPicture(family)).toString('base64');
      const heard = await page.evaluate(
        async ([bytes, rounds]) => {
          const [address, options] = (window as unknown as { seen: [string, WorkerOptions | undefined][] }).seen[0]!;
          const picture = new Blob([Uint8Array.from(atob(bytes), (char) => char.charCodeAt(0))], { type: 'image/jpeg' });
          const worker = new Worker(address, options);
          const answers: Heard[] = [];
          for (let id = 1; id <= rounds + 1; id++) {
            const from = performance.now();
            const ok = await new Promise<boolean>((resolve) => {
              worker.onmessage = ({ data }: MessageEvent<{ id: number; read: { ok: boolean } }>) =>
                data.id === id && resolve(data.read.ok);
              worker.postMessage({ kind: 'read', picture, marks: [], id });
            });
            answers.push({ ms: performance.now() - from, ok });
          }
          worker.terminate();
          return answers;
        },
        [text, ROUNDS] as const,
      );
      if (heard.some(({ ok }) => !ok)) throw new Error(`${family}: no slice was found`);
      // the first starts the worker
      all.push(...heard.slice(1).map(({ ms }) => ms));
    }
    found.add(
      'a picture of 12 megapixels read in its worker, p50 / p95',
      `${quantileOf(all, 0.5).toFixed(0)} / ${quantileOf(all, 0.95).toFixed(0)} ms`,
      '< 1500 ms',
    );
  } finally {
    await page.close();
  }
} // prettier-ignore
