import '@fontsource-variable/hanken-grotesk/wght.css';
import '@mantine/core/styles.css';
import './globals.css';
import './mantine-look.css';
import { ColorSchemeScript, mantineHtmlProps } from '@mantine/core';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { SheetProvider } from '@/features/shell/sheet-provider';
import { TitleBar } from '@/features/shell/title-bar';
import { WORDS } from '@/messages/screens/pages';

export const metadata: Metadata = {
  title: WORDS.jorvix,
  description: WORDS.setsUpPacesAndRemembers,
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  // The word by which the page's own scripts are known (server/web-guard).
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang="en" {...mantineHtmlProps}>
      <head>
        <ColorSchemeScript defaultColorScheme="auto" nonce={nonce} />
      </head>
      <body>
        <SheetProvider>
          <TitleBar />
          <main>{children}</main>
        </SheetProvider>
      </body>
    </html>
  );
}
