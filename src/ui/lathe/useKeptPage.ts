'use client';
import { useEffect, useState } from 'react';

/** Whether this page opens on this device without a net: not yet, kept, or it cannot be where the address is not secure. */
export type KeptPage = 'keeping' | 'kept' | 'cannot';

/** Has the browser keep the page and what it is made of, so that it opens when server or net are gone. */
export function useKeptPage(): KeptPage {
  const [kept, setKept] = useState<KeptPage>('keeping');
  useEffect(() => {
    // Asked so, since a build takes what every browser has for being there.
    if (!window.isSecureContext) {
      const told = setTimeout(() => setKept('cannot'));
      return () => clearTimeout(told);
    }
    const { serviceWorker } = navigator;
    const onMessage = ({ data }: MessageEvent<{ kept?: boolean }>) => data.kept === true && setKept('kept');
    serviceWorker.addEventListener('message', onMessage);
    void serviceWorker
      .register('/sw.js')
      .then(() => serviceWorker.ready)
      .then(({ active }) => active?.postMessage({ keep: true, path: window.location.pathname }))
      .catch(() => setKept('cannot'));
    return () => serviceWorker.removeEventListener('message', onMessage);
  }, []);
  return kept;
}
