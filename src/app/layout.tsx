import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { DeviceSettingsProvider } from '@/ui/device/DeviceSettings';
import { markScript } from '@/ui/device/markScript';
import { GlobalStyle } from '@/ui/theme/GlobalStyle';
import { themeScript } from '@/ui/theme/ThemeToggle.script';
import { Locale } from '@/ui/primitives/Locale';
import { deviceSettings } from './deviceSettings';
import { StyledRegistry } from './StyledRegistry';

export const metadata: Metadata = {
  title: { default: 'Shingle', template: '%s · Shingle' },
  description: 'Plans runs of small turned parts on manual lathes',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-shingle-nonce') ?? '';
  const settings = await deviceSettings();
  return (
    <html lang={process.env.SHINGLE_LANGUAGE} suppressHydrationWarning>
      <head>
        {/* Components that write styles later mark them with it. */}
        <meta property="csp-nonce" nonce={nonce} />
        <script
          nonce={nonce}
          suppressHydrationWarning
          dangerouslySetInnerHTML={{ __html: `${themeScript};${markScript(settings.mark)}` }}
        />
      </head>
      <body>
        <StyledRegistry nonce={nonce}>
          <GlobalStyle />
          <Locale>
            <DeviceSettingsProvider served={settings}>{children}</DeviceSettingsProvider>
          </Locale>
        </StyledRegistry>
      </body>
    </html>
  );
}
