import type { MetadataRoute } from 'next';
import { words } from '@/wording/screens/pages';

/** What a device needs to put the application among its own. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: words.honestCrumb,
    short_name: words.honestCrumb,
    description: words.forPeopleWhoBakeYeasted,
    id: '/',
    start_url: '/',
    display: 'standalone',
    background_color: '#eef1ec',
    theme_color: '#1a2226',
    icons: [
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
  };
}
