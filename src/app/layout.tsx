import '@fontsource-variable/hanken-grotesk/wght.css';
import '@mantine/core/styles.css';
import './globals.css';
import './mantine-look.css';
import { ColorSchemeScript, mantineHtmlProps } from '@mantine/core';
import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import { SheetProvider } from '@/features/shell/sheet-provider';
import { TitleBar } from '@/features/shell/title-bar';
import { WORDS } from '@/messages/screens/pages';

export const metadata: Metadata = {
  title: WORDS.jorvix,
  description: WORDS.setsUpPacesAndRemembers,
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default function RootLayout({ children }: { readonly children: ReactNode }) {
  return (
    <html lang="en" {...mantineHtmlProps}>
      <head>
        <ColorSchemeScript defaultColorScheme="auto" />
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
