import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  serverExternalPackages: ['pg'],
  distDir: process.env.CRUMB_DIST ?? '.next',
  devIndicators: false,
  // no image is taken in and made smaller by the server: the address for that is closed
  images: { unoptimized: true },
};

export default config;
