import type { IncomingHttpHeaders } from 'node:http';
import {
  IMPORT_AT,
  isArchiveType,
  isFromBrowser,
  isOurHost,
  isOurOrigin,
  isPhotoAt,
  TOLD_AT,
  type Standing,
} from './hosts';

/** What kind of thing an address leads to, as far as the door treats them differently. */
export type Kind = 'api' | 'asset' | 'page';

/** Why a request is not let in. */
export type RefusalKind =
  | 'foreignHost'
  | 'foreignOrigin'
  | 'badAddress'
  | 'badRequest'
  | 'badMethod'
  | 'badType'
  | 'notPicture'
  | 'tooBig'
  | 'tooFast'
  | 'tooSlow'
  | 'notPaired'
  | 'notForDevice'
  | 'tooBusy'
  | 'stopping';

export const STATUS: Readonly<Record<RefusalKind, number>> = {
  foreignHost: 403,
  foreignOrigin: 403,
  badAddress: 400,
  badRequest: 400,
  badMethod: 405,
  badType: 415,
  notPicture: 422,
  tooBig: 413,
  tooFast: 429,
  tooSlow: 408,
  notPaired: 401,
  notForDevice: 403,
  tooBusy: 503,
  stopping: 503,
};

export interface Asked {
  readonly method: string;
  readonly url: string;
  readonly headers: IncomingHttpHeaders;
}

/** The path of an address that can be one of ours: decodable, without control characters, one slash at a time. Null for any other. */
export function pathOf(url: string): string | null {
  if (!url.startsWith('/') || url.startsWith('//') || url.length > 4000) return null;
  const [path = ''] = url.split(/[?#]/, 1);
  try {
    const plain = decodeURIComponent(path);
    decodeURIComponent(url.slice(path.length).replaceAll('+', ' '));
    return /[\u0000-\u001f\u007f\\]/.test(plain) || plain.split('/').includes('..') ? null : path;
  } catch {
    return null;
  }
}

/** By whole segments: `/api/x` is the interface, `/apix` is a page that does not exist. */
function kindOf(path: string): Kind {
  if (path === '/api' || path.startsWith('/api/')) return 'api';
  return path.startsWith('/_next/static/') || /^\/icon(?:-\d+)?\.(?:svg|png)$/.test(path) ? 'asset' : 'page';
}

const METHODS: Readonly<Record<Kind, readonly string[]>> = {
  api: ['GET', 'HEAD', 'POST'],
  asset: ['GET', 'HEAD'],
  page: ['GET', 'HEAD'],
};

export const allowedMethods = (kind: Kind): string => METHODS[kind].join(', ');

/** `application/json`, with or without saying that it is UTF-8, which JSON is anyway; nothing that only begins like it. */
export const isJson = (type: string | undefined): boolean =>
  /^application\/json\s*(?:;\s*charset\s*=\s*"?utf-8"?\s*)?$/i.test(type ?? '');

/** What may come where a picture is taken: what it is, its first bytes say. */
const isPictureType = (type: string | undefined): boolean =>
  /^(?:image\/[a-z0-9.+-]{1,40}|application\/octet-stream)$/i.test(type ?? '');

export type Judgement =
  | { readonly ok: true; readonly kind: Kind; readonly path: string; readonly writes: boolean }
  | { readonly ok: false; readonly why: RefusalKind; readonly kind: Kind };

/** Who is let in, by what a request says of itself; its body and its pace are looked at after that. */
export function judge({ method, url, headers }: Asked, standing: Standing): Judgement {
  const path = pathOf(url);
  const kind = kindOf(path ?? url);
  const no = (why: RefusalKind): Judgement => ({ ok: false, why, kind });
  if (!isOurHost(headers.host, standing)) return no('foreignHost');
  if (path === null) return no('badAddress');
  if (!METHODS[kind].includes(method)) return no('badMethod');
  const writes = method === 'POST';
  if (writes && !isOurOrigin(headers, standing.scheme)) return no('foreignOrigin');
  if (path === TOLD_AT && isFromBrowser(headers)) return no('foreignOrigin');
  const type = headers['content-type'];
  const isArchive = path === IMPORT_AT && isArchiveType(type);
  if (writes && !(isPhotoAt(path) ? isPictureType(type) : isArchive || isJson(type))) return no('badType');
  if (!writes && (headers['transfer-encoding'] !== undefined || Number(headers['content-length'] ?? 0) > 0))
    return no('badRequest');
  return { ok: true, kind, path, writes };
}
