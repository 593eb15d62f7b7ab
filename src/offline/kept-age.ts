/** Between the service worker and its pages: when what is shown was served, where it was kept and not served now. */
export const AGE_CHANNEL = 'jorvix-page-age';

/** A page asks for itself; the worker tells it, or every page at once. */
export type AgeMessage = { readonly ask: string } | { readonly of: string; readonly servedMs: number | null };

/** A page by its path, whatever part of it was asked for. */
export const pageOf = (url: string): string => new URL(url).pathname;
