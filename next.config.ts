import type { NextConfig } from 'next';

// Headers that hold for every answer, API and static files included. The content security policy is set per
// request in src/proxy.ts because it carries a nonce.
const everyAnswer = [
  { key: 'X-Content-Type-Options', value: 'nosniff' },
  { key: 'X-Frame-Options', value: 'DENY' },
  { key: 'Referrer-Policy', value: 'same-origin' },
  { key: 'Cross-Origin-Opener-Policy', value: 'same-origin' },
  { key: 'Cross-Origin-Resource-Policy', value: 'same-origin' },
  { key: 'Permissions-Policy', value: 'camera=(), microphone=(), geolocation=(), payment=(), usb=()' },
];

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  serverExternalPackages: ['pg'],
  distDir: process.env.CRUMB_DIST ?? '.next',
  devIndicators: false,
  headers: () => Promise.resolve([{ source: '/:path*', headers: everyAnswer }]),
};

export default config;
