import type { MetadataRoute } from 'next';

/** What the browser shows of the app once it is installed. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: '/bench',
    name: 'Mazurka',
    short_name: 'Mazurka',
    description: 'The bench partner of people who build and tune bladed lures.',
    start_url: '/bench',
    scope: '/',
    display: 'standalone',
    background_color: '#f4f1ea',
    theme_color: '#0a545c',
    icons: [
      { src: '/icons/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icons/icon-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icons/icon-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
    shortcuts: [
      { name: 'Make', url: '/make' },
      { name: 'Bench', url: '/bench' },
      { name: 'Tank', url: '/tank' },
    ],
  };
}
