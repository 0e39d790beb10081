import { serviceWorkerScript } from '@/server/serviceWorker';

/** At the top of all addresses, since it answers for all of them when the server does not. */
export async function GET(): Promise<Response> {
  const script = process.env.NODE_ENV === 'production' ? await serviceWorkerScript(process.cwd()) : null;
  return new Response(script ?? '', {
    status: script === null ? 404 : 200,
    headers: { 'content-type': 'text/javascript; charset=utf-8', 'cache-control': 'no-cache' },
  });
}
