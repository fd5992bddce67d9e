import '@fontsource-variable/archivo/standard.css';
import '@fontsource-variable/spline-sans-mono';
import './globals.css';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import { ThemeProvider } from '@mui/material/styles';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { KeepFocus } from '@/ui/KeepFocus';
import { ReaderProvider } from '@/ui/reader';
import { Snackbars } from '@/ui/Snackbars';
import { theme } from '@/ui/theme';
import { Inks } from '@/ui/theme/Inks';
import { readerOfRequest } from './readerOfRequest';

export const metadata: Metadata = {
  title: 'Lean Badger',
  description: 'A workshop companion for custom 3D-printed radio-controlled cars.',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: '#1B1D1A' };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const { reader, known } = await readerOfRequest();
  const nonce = (await headers()).get('x-nonce');
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <InitColorSchemeScript attribute="data" {...(nonce ? { nonce } : {})} />
        <AppRouterCacheProvider options={{ enableCssLayer: true }}>
          <ThemeProvider theme={theme}>
            <Inks />
            <KeepFocus />
            <ReaderProvider initial={reader} known={known}>
              <Snackbars>{children}</Snackbars>
            </ReaderProvider>
          </ThemeProvider>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
