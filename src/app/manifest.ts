import type { MetadataRoute } from 'next';

/** So that the workshop can be put on a phone's first screen and opened without a signal. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Lean Badger',
    short_name: 'Lean Badger',
    description: 'Designs, prints, drives and improves a radio-controlled car of your own.',
    start_url: '/',
    scope: '/',
    display: 'standalone',
    background_color: '#F6F3EC',
    theme_color: '#1B1D1A',
    icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
  };
}
