import type { Page } from '@playwright/test';

/** What is wrong with how a page lies: wider than the screen, text that is cut, controls over each other. */
export const faultsOfLayout = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const found: string[] = [];
    const nameOf = (el: Element): string =>
      `${el.tagName.toLowerCase()} ${(el.getAttribute('aria-label') ?? el.textContent ?? '').trim().slice(0, 50)}`;
    // From the top: what is scrolled out of its place lies nowhere.
    for (const el of document.querySelectorAll('*')) if (el.scrollTop > 0) el.scrollTop = 0;
    const { scrollWidth } = document.documentElement;
    if (scrollWidth > window.innerWidth + 1) found.push(`page is ${scrollWidth} wide`);
    const shown = (el: Element): boolean => el.checkVisibility({ opacityProperty: true, visibilityProperty: true });
    const all = [...document.querySelectorAll('body *')].filter((el) => !el.closest('svg, script, style') && shown(el));
    for (const el of all) {
      const { overflowX, overflowY, textOverflow, clipPath, position, contain, fontSize } = getComputedStyle(el);
      const ownText = [...el.childNodes].some((n) => n.nodeType === Node.TEXT_NODE && n.textContent!.trim() !== '');
      // An ellipsis says that there is more; what only screen readers read is cut on purpose.
      if (!ownText || textOverflow === 'ellipsis' || clipPath !== 'none' || position === 'absolute') continue;
      const paints = /strict|content|paint/.test(contain);
      const hides = (o: string): boolean => paints || o === 'hidden' || o === 'clip';
      if (hides(overflowX) && el.scrollWidth > el.clientWidth + 1) found.push(`cut: ${nameOf(el)}`);
      // Letters reach a little over their line; a line that is hidden is half a letter and more.
      if (hides(overflowY) && el.scrollHeight > el.clientHeight + parseFloat(fontSize) / 2)
        found.push(`cut below: ${nameOf(el)}`);
    }
    // A box shows the whole of what was typed into it, whatever else stands in it.
    for (const el of document.querySelectorAll<HTMLInputElement>('main input:is([type=text], :not([type]))'))
      if (shown(el) && el.scrollWidth > el.clientWidth + 1) found.push(`cut: ${el.value} in ${nameOf(el)}`);
    // What stays in sight while the page goes on under it lies over it on purpose.
    const stays = (el: Element): boolean => {
      for (let at: Element | null = el; at; at = at.parentElement)
        if (['fixed', 'sticky', 'absolute'].includes(getComputedStyle(at).position)) return true;
      return false;
    };
    const controls = all.filter((el) => el.matches('button, a[href], input, select, textarea') && !stays(el));
    const boxes = controls.map((el) => ({ el, box: el.getBoundingClientRect() }));
    boxes.forEach((a, i) => {
      for (const b of boxes.slice(i + 1)) {
        if (a.el.contains(b.el) || b.el.contains(a.el)) continue;
        const wide = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
        const high = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top);
        if (wide > 2 && high > 2) found.push(`over each other: ${nameOf(a.el)} / ${nameOf(b.el)}`);
      }
    });
    const nameless = controls.filter(
      (el) =>
        !el.getAttribute('aria-label') &&
        !el.getAttribute('aria-labelledby') &&
        !(el.textContent ?? '').trim() &&
        !(el as HTMLInputElement).labels?.length &&
        el.getAttribute('aria-hidden') !== 'true' &&
        el.getAttribute('type') !== 'hidden',
    );
    found.push(...nameless.map((el) => `no name: ${el.outerHTML.slice(0, 80)}`));
    return found;
  });
