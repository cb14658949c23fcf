import { withSerwist } from '@serwist/turbopack';
import type { NextConfig } from 'next';

const isDev = process.env.NODE_ENV === 'development';

/**
 * Everything is served by the app itself; nothing may be fetched from elsewhere.
 * `unsafe-inline` for scripts stands because prerendered pages carry their data in inline scripts, and headers are fixed before
 * those pages are rendered, so that no hash of them can stand here (docs/decisions.md);
 * `unsafe-eval` is never allowed in a build (only the development server needs it).
 */
const contentSecurityPolicy = [
  "default-src 'self'",
  `script-src 'self' 'unsafe-inline'${isDev ? " 'unsafe-eval'" : ''}`,
  "style-src 'self' 'unsafe-inline'",
  "img-src 'self' data: blob:",
  "font-src 'self'",
  `connect-src 'self'${isDev ? ' ws:' : ''}`,
  "worker-src 'self' blob:",
  "manifest-src 'self'",
  "object-src 'none'",
  "base-uri 'none'",
  "form-action 'none'",
  "frame-ancestors 'none'",
].join('; ');

/** What the app uses, for itself only; everything else a browser could offer is off. */
const USED = ['screen-wake-lock', 'fullscreen', 'clipboard-write'];
const UNUSED = [
  'accelerometer',
  'autoplay',
  'camera',
  'display-capture',
  'encrypted-media',
  'geolocation',
  'gyroscope',
  'hid',
  'magnetometer',
  'microphone',
  'midi',
  'payment',
  'publickey-credentials-get',
  'serial',
  'usb',
  'xr-spatial-tracking',
];
const permissionsPolicy = [...USED.map((name) => `${name}=(self)`), ...UNUSED.map((name) => `${name}=()`)].join(', ');

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  headers: () =>
    Promise.resolve([
      {
        source: '/:path*',
        headers: [
          { key: 'Content-Security-Policy', value: contentSecurityPolicy },
          { key: 'X-Content-Type-Options', value: 'nosniff' },
          { key: 'Referrer-Policy', value: 'no-referrer' },
          { key: 'Cross-Origin-Opener-Policy', value: 'same-origin' },
          { key: 'Permissions-Policy', value: permissionsPolicy },
        ],
      },
    ]),
};

export default withSerwist(config);
