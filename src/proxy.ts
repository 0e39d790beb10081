import { NextResponse, type NextRequest } from 'next/server';
import { isTrustedHost } from '@/server/trust';

/** Sets the content security policy of every page: nothing but ourselves, scripts only with this answer's nonce. */
export function proxy(request: NextRequest): NextResponse {
  if (!isTrustedHost(request.headers.get('host'))) {
    return new NextResponse('This name does not belong to this kitchen. Use http://127.0.0.1', {
      status: 403,
    });
  }
  const nonce = Buffer.from(crypto.getRandomValues(new Uint8Array(16))).toString('base64');
  const dev = process.env.NODE_ENV === 'development';
  const policy = [
    `default-src 'none'`,
    `script-src 'nonce-${nonce}' 'strict-dynamic'${dev ? " 'unsafe-eval'" : ''}`,
    // some widgets inject style elements
    `style-src 'self' 'unsafe-inline'`,
    `img-src 'self' data: blob:`,
    `font-src 'self'`,
    `connect-src 'self'`,
    `worker-src 'self'`,
    `manifest-src 'self'`,
    `base-uri 'none'`,
    `form-action 'self'`,
    `frame-ancestors 'none'`,
  ].join('; ');
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  return response;
}

export const config = { matcher: ['/((?!api/|_next/static|_next/image|icon.svg).*)'] };
