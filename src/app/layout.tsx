import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import { GlobalStyle } from '@/ui/theme/GlobalStyle';
import { themeScript } from '@/ui/theme/ThemeToggle.script';
import { Locale } from '@/ui/primitives/Locale';
import { StyledRegistry } from './StyledRegistry';

export const metadata: Metadata = {
  title: { default: 'Shingle', template: '%s · Shingle' },
  description: 'Plans runs of small turned parts on manual lathes',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en-GB" suppressHydrationWarning>
      <head>
        <script dangerouslySetInnerHTML={{ __html: themeScript }} />
      </head>
      <body>
        <StyledRegistry>
          <GlobalStyle />
          <Locale>{children}</Locale>
        </StyledRegistry>
      </body>
    </html>
  );
}
