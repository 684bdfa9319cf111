import type { Page } from '@playwright/test';

/**
 * What a hand or an eye stumbles over on a page, from its top to its foot: text over text, text that is cut off, and
 * controls of less than 24 px. One sentence each; none where all is well.
 */
export async function crowdingOn(page: Page): Promise<readonly string[]> {
  const found = new Set<string>();
  for (let place = 0; place < 30; place++) {
    const hasMoved = await scrollTo(page, place);
    if (place > 0 && !hasMoved) break;
    for (const each of await crowdingInSight(page)) found.add(each);
  }
  await scrollTo(page, 0);
  return [...found];
}

/** Scrolls all that scrolls to so many windows from its top; whether anything has moved by that. */
function scrollTo(page: Page, place: number): Promise<boolean> {
  return page.evaluate((at) => {
    const all = [document.scrollingElement, ...document.querySelectorAll('body *')];
    const moved = all.filter((each) => {
      if (!each || each.scrollHeight <= each.clientHeight + 1) return false;
      const { overflowY } = getComputedStyle(each);
      if (each !== document.scrollingElement && !['auto', 'scroll'].includes(overflowY))
        return false;
      const before = each.scrollTop;
      each.scrollTop = at * each.clientHeight * 0.85;
      return each.scrollTop !== before;
    });
    return moved.length > 0;
  }, place);
}

/** The same in what is seen of it now. */
function crowdingInSight(page: Page): Promise<readonly string[]> {
  return page.evaluate(() => {
    interface Area {
      readonly left: number;
      readonly right: number;
      readonly top: number;
      readonly bottom: number;
    }
    interface SeenText {
      readonly element: Element;
      readonly said: string;
      readonly area: Area;
    }
    const findings: string[] = [];

    const isSeen = (element: Element) =>
      element.checkVisibility({ opacityProperty: true, visibilityProperty: true });
    const widthOf = ({ left, right }: Area) => right - left;
    const heightOf = ({ top, bottom }: Area) => bottom - top;
    const within = (area: Area, frame: Area): Area => ({
      left: Math.max(area.left, frame.left),
      right: Math.min(area.right, frame.right),
      top: Math.max(area.top, frame.top),
      bottom: Math.min(area.bottom, frame.bottom),
    });
    const isEmpty = (area: Area) => widthOf(area) <= 0 || heightOf(area) <= 0;
    const pane: Area = { left: 0, top: 0, right: innerWidth, bottom: innerHeight };
    // Asked of every text and control first: whatever is scrolled out of sight needs no walk through what it stands in.
    const isInPane = (area: Area) => !isEmpty(within(area, pane));
    const told = (text: string) => `“${text.trim().replace(/\s+/g, ' ').slice(0, 40)}”`;

    /** Whether it is there for the ear alone. */
    const isForTheEar = (element: Element): boolean => {
      for (let each: Element | null = element; each; each = each.parentElement) {
        const style = getComputedStyle(each);
        const { clipPath } = style;
        const clip = style.getPropertyValue('clip');
        if (clipPath === 'inset(50%)' || clip === 'rect(0px, 0px, 0px, 0px)') return true;
        const { width, height } = each.getBoundingClientRect();
        if (width <= 1 && height <= 1 && each.children.length === 0) return true;
      }
      return false;
    };

    /** What is seen of an area through all that scrolls or cuts off round it; and what cuts it off for good. */
    const seenOf = (element: Element, area: Area) => {
      let seen = area;
      let cutBy: Element | undefined;
      let isFixed = false;
      for (let each: Element | null = element; each; each = each.parentElement) {
        const style = getComputedStyle(each);
        const frame = each.getBoundingClientRect();
        const cutsAcross = !['visible', 'auto', 'scroll'].includes(style.overflowX);
        const cutsDown = !['visible', 'auto', 'scroll'].includes(style.overflowY);
        const isBox = style.display !== 'inline' && style.display !== 'contents';
        const isSvgPart = each instanceof SVGElement && each.ownerSVGElement !== null;
        if (isBox && !isSvgPart && !isFixed) {
          if (
            (cutsAcross && (area.left < frame.left - 1 || area.right > frame.right + 1)) ||
            (cutsDown && (area.top < frame.top - 3 || area.bottom > frame.bottom + 3))
          )
            cutBy ??= each;
          if (style.overflowX !== 'visible' || style.overflowY !== 'visible')
            seen = within(seen, frame);
        }
        if (style.position === 'fixed') isFixed = true;
      }
      seen = within(seen, pane);
      return { seen, cutBy };
    };

    const isOpaque = (element: Element) => {
      const [, alpha = '1'] =
        /^rgba\(.*, ([\d.]+)\)$/.exec(getComputedStyle(element).backgroundColor) ?? [];
      return Number(alpha) > 0.5;
    };

    /** Whether an element can be seen at a place, and lies under nothing that hides it. */
    const isOnTop = (element: Element, { left, right, top, bottom }: Area) => {
      const block = element instanceof SVGElement ? (element.ownerSVGElement ?? element) : element;
      for (const each of document.elementsFromPoint((left + right) / 2, (top + bottom) / 2)) {
        if (each.contains(block) || block.contains(each)) return true;
        if (isOpaque(each)) return false;
      }
      return false;
    };

    const texts: SeenText[] = [];
    const note = (element: Element, said: string, lines: Iterable<DOMRect>) => {
      const inPane = [...lines].filter(isInPane);
      if (inPane.length === 0 || !isTold(element)) return;
      const style = getComputedStyle(element);
      for (const line of inPane) {
        // What lies above and below the letters of a line is air.
        const isDrawn = element instanceof SVGElement;
        const size = parseFloat(style.fontSize);
        const air = isDrawn ? 0.2 * line.height : Math.max(0, (line.height - size) / 2);
        const { left, right } = line;
        const area = { left, right, top: line.top + air, bottom: line.bottom - air };
        if (isEmpty(area)) continue;
        const { seen, cutBy } = seenOf(element, area);
        if (isEmpty(seen) || !isOnTop(element, seen)) continue;
        // A maker may give a box a longer name than the bar of a phone holds.
        if (cutBy && !cutBy.matches('.box-name')) {
          const by = `${cutBy.tagName.toLowerCase()}.${cutBy.getAttribute('class') ?? ''}`;
          findings.push(`${told(said)} is cut off by ${by}`);
        }
        texts.push({ element, said, area: seen });
      }
    };
    // What lies under a dialog waits for it.
    const dialog = document.querySelector('[aria-modal="true"]');
    const isTold = (element: Element) =>
      isSeen(element) && !isForTheEar(element) && (dialog?.contains(element) ?? true);
    for (const drawn of document.querySelectorAll('svg text'))
      if (drawn.textContent.trim() !== '')
        note(drawn, drawn.textContent, [drawn.getBoundingClientRect()]);
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const element = node.parentElement;
      const said = node.textContent ?? '';
      if (!element || said.trim() === '' || element.closest('script, style, svg')) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      note(element, said, range.getClientRects());
    }
    for (const [i, one] of texts.entries())
      for (const other of texts.slice(i + 1)) {
        if (one.element === other.element) continue;
        const both = within(one.area, other.area);
        if (widthOf(both) > 1.5 && heightOf(both) > 2)
          findings.push(`${told(one.said)} lies over ${told(other.said)}`);
      }

    const controls =
      'a[href], button, input, select, textarea, summary, [role=button], [role=slider], [role=switch], [role=tab], [role=combobox], [role=checkbox], [role=option]';
    for (const control of document.querySelectorAll(controls)) {
      if (!isInPane(control.getBoundingClientRect()) || !isTold(control)) continue;
      // A link in a sentence is as high as its line; a field that is drawn by others is as large as they are.
      const isInSentence =
        control.tagName === 'A' && getComputedStyle(control).display === 'inline';
      const { opacity } = getComputedStyle(control);
      if (isInSentence || opacity === '0') continue;
      const held = control instanceof HTMLInputElement ? control.closest('label') : null;
      const { width, height } = (held ?? control).getBoundingClientRect();
      if (isEmpty(seenOf(control, control.getBoundingClientRect()).seen)) continue;
      if (width < 23.5 || height < 23.5) {
        const name = control.getAttribute('aria-label') ?? control.textContent;
        findings.push(
          `${control.tagName.toLowerCase()} ${told(name)} is ${Math.round(width)} × ${Math.round(height)} px`,
        );
      }
    }
    return [...new Set(findings)];
  });
}
