import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A link within the app. The framework would ask for a piece of every page that a link in sight leads to; our pages are
 * made anew for whoever opens them, so that nothing of what came ahead could be shown. What has to open without a
 * network the service worker keeps ahead.
 */
export const Link = (props: ComponentProps<typeof NextLink>) => <NextLink prefetch={false} {...props} />;
