import '@fontsource-variable/hanken-grotesk/wght.css';
import '@mantine/core/styles.css';
import './globals.css';
import './mantine-look.css';
import { ColorSchemeScript, mantineHtmlProps } from '@mantine/core';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import { Suspense, type ReactNode } from 'react';
import { EarlyTapsScript } from '@/features/shell/early-taps';
import { SheetProvider } from '@/features/shell/sheet-provider';
import { FirstStepsBar } from '@/features/shell/first-steps-bar';
import { LockAfterSleep } from '@/features/shell/lock-after-sleep';
import { TitleBar } from '@/features/shell/title-bar';
import { findHere } from '@/server/open-use-case';
import { databaseId } from '@/server/records-file';
import { WORDS } from '@/messages/screens/pages';
import { skipStepAction } from './account-actions';

export const metadata: Metadata = {
  title: { default: WORDS.jorvix, template: WORDS.titled },
  description: WORDS.setsUpPacesAndRemembers,
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  // The word by which the page's own scripts are known (server/web-guard).
  const asked = await headers();
  const nonce = asked.get('x-nonce') ?? undefined;
  // What is kept for when there is no network is the same for everybody.
  const { actor, steps } = asked.get('x-path') === '/offline' ? { actor: null, steps: null } : await findHere();
  return (
    <html lang="en" {...mantineHtmlProps} data-account={actor?.id} data-database={actor ? databaseId() : undefined}>
      <head>
        <ColorSchemeScript defaultColorScheme="auto" nonce={nonce} />
        <EarlyTapsScript nonce={nonce} />
      </head>
      <body>
        <SheetProvider>
          <TitleBar actor={actor} />
          {actor && <LockAfterSleep />}
          {steps && (
            <Suspense>
              <FirstStepsBar steps={steps} skip={skipStepAction} />
            </Suspense>
          )}
          <main>{children}</main>
        </SheetProvider>
      </body>
    </html>
  );
}
