import { IncomingMessage } from 'node:http';
import type { Readable } from 'node:stream';
import { isPicture, sniff, SNIFF_BYTES, type Sniffed } from '@/core/photo/sniff';
import { PHOTO_LIMITS } from '@/core/photo/photoLimits';
import { IMPORT_AT, isArchiveType, isPhotoAt, TOLD_AT } from './hosts';

/** The most a request may carry. The longest formula that passes the schema stays well below it. */
export const MOST_BYTES = 512 * 1024;
/** A whole kitchen in one file is larger. Checking so much of it takes the processor for half a second; beyond that it is taken in by the command. */
const MOST_FILE_BYTES = 8 * 1024 * 1024;
/** Five hundred readings are half of it. */
const MOST_TOLD_BYTES = 64 * 1024;
/** With pictures: what is beyond that is taken in by the command. */
const MOST_ARCHIVE_BYTES = 64 * 1024 * 1024;
export function mostBytesAt(path: string, type?: string): number {
  if (isPhotoAt(path)) return PHOTO_LIMITS.bytes;
  if (path === IMPORT_AT) return isArchiveType(type) ? MOST_ARCHIVE_BYTES : MOST_FILE_BYTES;
  return path === TOLD_AT ? MOST_TOLD_BYTES : MOST_BYTES;
}
/** A body that trickles in keeps a connection and nothing else. */
const MOST_MS = 15_000;
/** A picture over a slow network, within what a request may take at all. */
const MOST_PICTURE_MS = 28_000;
/** So much more is swallowed after a refusal, that the answer can be read by who is still sending. */
const SWALLOW_BYTES = 8 * 1024 * 1024;
export const SWALLOW_MS = 3000;

export type Body =
  | { readonly ok: true; readonly bytes: Buffer }
  | { readonly ok: false; readonly why: 'tooBig' | 'tooSlow' | 'gone' }
  | { readonly ok: false; readonly why: 'notPicture'; readonly kind: Sniffed };

/** Reads a body up to the limit; the header may lie or be missing, so the bytes are counted as they come. */
export function readBody(
  request: IncomingMessage,
  {
    mostBytes,
    picture = false,
    patient = picture,
  }: { readonly mostBytes: number; readonly picture?: boolean; readonly patient?: boolean },
): Promise<Body> {
  if (Number(request.headers['content-length'] ?? 0) > mostBytes)
    return Promise.resolve({ ok: false, why: 'tooBig' });
  return new Promise((resolve) => {
    const chunks: Buffer[] = [];
    let size = 0;
    const end = (body: Body): void => {
      clearTimeout(timer);
      request.removeAllListeners('data');
      resolve(body);
    };
    const timer = setTimeout(() => end({ ok: false, why: 'tooSlow' }), patient ? MOST_PICTURE_MS : MOST_MS);
    let looked = !picture;
    /** By its first bytes, before the rest has come. */
    const notPicture = (): Body | null => {
      looked = true;
      const kind = sniff(Buffer.concat(chunks).subarray(0, SNIFF_BYTES));
      return isPicture(kind) ? null : { ok: false, why: 'notPicture', kind };
    };
    request.on('data', (chunk: Buffer) => {
      size += chunk.length;
      if (size > mostBytes) return end({ ok: false, why: 'tooBig' });
      chunks.push(chunk);
      const no = !looked && size >= SNIFF_BYTES ? notPicture() : null;
      if (no) end(no);
    });
    request.on('end', () =>
      end((looked ? null : notPicture()) ?? { ok: true, bytes: Buffer.concat(chunks) }),
    );
    request.on('error', () => end({ ok: false, why: 'gone' }));
    request.on('close', () => end({ ok: false, why: 'gone' }));
  });
}

/** Lets who is still sending come to the answer: takes in a little more and throws it away, then hangs up. */
export function swallow(request: IncomingMessage): void {
  const hangUp = (): void => void request.socket.destroy();
  const late = setTimeout(hangUp, SWALLOW_MS);
  request.on('close', () => clearTimeout(late));
  swallowFrom(request, hangUp);
}

/** Reads on and throws away; `tooMuch` once it is more than anybody would wait for. */
export function swallowFrom(source: Readable, tooMuch: () => void): void {
  let size = 0;
  source.on('data', (chunk: Buffer) => {
    size += chunk.length;
    if (size > SWALLOW_BYTES) tooMuch();
  });
  source.resume();
}

/** The same request with its body already here: whoever reads it further in never waits for a client. */
export function withBody(request: IncomingMessage, bytes: Buffer): IncomingMessage {
  const whole = new IncomingMessage(request.socket);
  whole.method = request.method;
  whole.url = request.url;
  whole.httpVersion = request.httpVersion;
  whole.httpVersionMajor = request.httpVersionMajor;
  whole.httpVersionMinor = request.httpVersionMinor;
  whole.headers = { ...request.headers, 'content-length': String(bytes.length) };
  delete whole.headers['transfer-encoding'];
  whole.rawHeaders = Object.entries(whole.headers).flatMap(([name, value]) => [name, String(value)]);
  whole.complete = true;
  if (bytes.length > 0) whole.push(bytes);
  whole.push(null);
  return whole;
}
