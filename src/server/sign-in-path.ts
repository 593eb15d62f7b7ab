/** Where somebody signs in who wanted to go elsewhere. */
export const signInPath = (to: string | null): string =>
  to === null || to === '/' || to === '/sign-in' ? '/sign-in' : `/sign-in?to=${encodeURIComponent(to)}`;

/** Where somebody goes on after signing in: a place of this application, nowhere else. */
export const placeAfterSignIn = (to: string | undefined): string =>
  to !== undefined && /^\/(?![/\\])[\w\-./%]*$/.test(to) ? to : '/';
