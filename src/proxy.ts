import { NextResponse, type NextRequest } from 'next/server';

/** Own origin only; scripts and styles by nonce. Style attributes carry computed positions of drawings. */
function contentSecurityPolicy(nonce: string): string {
  const dev = process.env.NODE_ENV === 'development' ? " 'unsafe-eval'" : '';
  return [
    "default-src 'none'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${dev}`,
    `style-src 'self' 'nonce-${nonce}'`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "manifest-src 'self'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

/** The one address that holds the shop: another name for this machine would show another, empty shop. */
const HOME = '127.0.0.1';

/** What a request for another name gets; null when it asks for the home of the shop. */
function elsewhere(request: NextRequest): Response | null {
  const host = request.headers.get('host') ?? '';
  const [, name = '', port = ''] = /^(\[[^\]]*\]|[^:]*)(:\d+)?$/.exec(host.toLowerCase()) ?? [];
  if (name === HOME) return null;
  const reads = request.method === 'GET' || request.method === 'HEAD';
  // A name that leads to this machine by chance or by attack (DNS rebinding) is not answered at all.
  if (!reads || !['localhost', '[::1]'].includes(name))
    return new Response(`This server answers at http://${HOME}${port} only.\n`, { status: 421 });
  const { pathname, search } = request.nextUrl;
  const home = `http://${HOME}${port}${pathname}${search}`;
  const link = home.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);
  // Not a redirect: the framework takes both names for one host and would lead back here.
  return new Response(
    `<!doctype html><meta charset="utf-8"><title>Bilamina</title><p>The shop is at <a href="${link}">${link}</a>.`,
    {
      headers: {
        'content-type': 'text/html; charset=utf-8',
        refresh: `0; url=${home}`,
        'content-security-policy': "default-src 'none'; base-uri 'none'; frame-ancestors 'none'",
      },
    },
  );
}

export function proxy(request: NextRequest): Response {
  const other = elsewhere(request);
  if (other) return other;
  const nonce = btoa(crypto.randomUUID());
  const policy = contentSecurityPolicy(nonce);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('Content-Security-Policy', policy);
  response.headers.set('X-Content-Type-Options', 'nosniff');
  response.headers.set('Referrer-Policy', 'no-referrer');
  response.headers.set('X-Frame-Options', 'DENY');
  response.headers.set('Cross-Origin-Opener-Policy', 'same-origin');
  response.headers.set('Cross-Origin-Resource-Policy', 'same-origin');
  response.headers.set(
    'Permissions-Policy',
    'camera=(self), microphone=(), geolocation=(), payment=(), usb=()',
  );
  return response;
}

export const config = { matcher: '/((?!_next/static|_next/image|favicon.ico).*)' };
