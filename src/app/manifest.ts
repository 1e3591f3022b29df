import type { MetadataRoute } from 'next';

/** What a tablet needs to have Shingle as an application of its own, which opens without a net. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Shingle',
    short_name: 'Shingle',
    description: 'Plans runs of small turned parts on manual lathes',
    start_url: '/',
    display: 'standalone',
    background_color: '#f5f2ea',
    theme_color: '#f5f2ea',
    icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' }],
  };
}
