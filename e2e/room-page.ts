import { readdir, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { By, Key, Origin, until, type WebElement } from 'selenium-webdriver';
import type { Browser } from './browser.js';

const WAIT = 30_000;
/** After so long what is not in sight is looked for in the sections of the bench. */
const SOON = 1500;

/** A text with its fractions written plainly, as one types them. */
const plain = (text: string): string => text.replaceAll('\u2044', '/');

/** The application in the maker's words: what one sees, types, drags and reads. */
export class RoomPage {
  private opened: { readonly browser: Browser; readonly address: string } | undefined;

  /** Takes a browser and the address at which the application is served. */
  enterWith(browser: Browser, address: string): void {
    this.opened = { browser, address };
  }

  private get here(): { readonly browser: Browser; readonly address: string } {
    if (!this.opened) throw new Error('The page has no browser yet');
    return this.opened;
  }

  get browser(): Browser {
    return this.here.browser;
  }

  get driver(): Browser['driver'] {
    return this.browser.driver;
  }

  async visit(path: string): Promise<void> {
    await this.driver.get(this.here.address + path);
  }

  /** Goes to a view as the walk does, without loading the page anew, and waits until nothing changes any more. */
  async turnTo(path: string): Promise<void> {
    await this.driver.executeAsyncScript(
      `const [path, done] = arguments;
       let last = performance.now();
       let changed = false;
       const seen = new MutationObserver(() => { last = performance.now(); changed = true; });
       seen.observe(document.body, { childList: true, subtree: true, attributes: true });
       history.pushState(null, '', path);
       dispatchEvent(new PopStateEvent('popstate'));
       const look = setInterval(() => {
         if (performance.now() - last < (changed ? 300 : 3000)) return;
         clearInterval(look);
         seen.disconnect();
         done();
       }, 50);`,
      path,
    );
  }

  find(css: string): Promise<WebElement> {
    return this.driver.wait(until.elementLocated(By.css(css)), WAIT, `nothing matches ${css}`);
  }

  /** What stands at an xpath, once it is there. */
  at(xpath: string): Promise<WebElement> {
    return this.driver.wait(until.elementLocated(By.xpath(xpath)), WAIT, `nothing at ${xpath}`);
  }

  async has(css: string): Promise<boolean> {
    return (await this.driver.findElements(By.css(css))).length > 0;
  }

  /** Waits until `test` holds, and says `what` did not come where it never does. */
  async until(what: string, test: () => Promise<boolean>, ms = WAIT): Promise<void> {
    await this.driver.wait(async () => test().catch(() => false), ms, what);
  }

  async press(label: string): Promise<void> {
    const xpath = `//*[self::button or self::a][normalize-space()="${label}" or @aria-label="${label}"]`;
    const button = await this.driver.wait(until.elementLocated(By.xpath(xpath)), SOON).catch(async () => {
      await this.reveal(xpath);
      return this.driver.wait(until.elementLocated(By.xpath(xpath)), WAIT, `no button “${label}”`);
    });
    await this.driver.wait(until.elementIsEnabled(button), WAIT);
    await button.click();
  }

  /** Steps to a station by the walk. */
  async goTo(station: 'measure' | 'choose' | 'draft' | 'true' | 'finish' | 'cut' | 'toile'): Promise<void> {
    await (await this.find(`.walk a[href$="/${station}"], .walk a[href$="=${station}"]`)).click();
  }

  /** At Measure: shows the drawn body, or the pieces on the board. */
  async look(at: 'Body' | 'Pieces' | 'Pair'): Promise<void> {
    await (await this.find('.middle-choice')).findElement(By.xpath(`./button[.="${at}"]`)).click();
  }

  async fieldFor(label: string): Promise<WebElement> {
    const xpath = `//aside//input[@aria-label="${label}" or @id=//aside//label[normalize-space()="${label}"]/@for]`;
    await this.reveal(xpath);
    return this.driver.wait(until.elementLocated(By.xpath(xpath)), WAIT, `no field “${label}”`);
  }

  /** Looks through the sections of the bench, as one does by its index, until something at an xpath is in sight. */
  async reveal(xpath: string): Promise<void> {
    const there = async (): Promise<boolean> => (await this.driver.findElements(By.xpath(xpath))).length > 0;
    // A bench that is still being laid out is waited for: what is sought may lie in a section that is not open.
    await this.driver
      .wait(async () => (await there()) || (await this.has('.bench-index [role=tab]')), WAIT)
      .catch(() => undefined);
    if (await there()) return;
    const tabs = (): Promise<WebElement[]> => this.driver.findElements(By.css('.bench-index [role=tab]'));
    // Looked for anew each time: the bench may be laid out again while one goes through it.
    let next = 0;
    while (next < (await tabs()).length) {
      await (await tabs())[next]?.click().catch(() => undefined);
      if (await this.driver.wait(there, SOON / 3).catch(() => false)) return;
      next++;
    }
  }

  /** Opens a section of the bench by its name in the index, once nothing that is still being laid out is over it. */
  async section(label: string): Promise<void> {
    const xpath = `//*[@role="tab"][starts-with(normalize-space(), "${label}")]`;
    await this.until(`the section “${label}” cannot be pressed`, async () => {
      await (await this.at(xpath)).click();
      return true;
    });
  }

  /** How a check stands, wherever it is folded: all of them are laid on the bench, and closed again. */
  async check(id: string): Promise<{ readonly verdict: string; readonly said: string }> {
    await (await this.find('.tape-all')).click();
    const line = await this.find(`[data-check-line="${id}"]`);
    const verdict = (await line.getAttribute('data-verdict')) ?? '';
    const said = plain(await line.findElement(By.css('.number')).getText());
    if (await this.has('[aria-label="Close the checks"]')) await this.press('Close the checks');
    return { verdict, said };
  }

  /** Takes a unit in the settings. */
  async unit(unit: 'cm' | 'in'): Promise<void> {
    await this.press('Settings');
    await this.find('[role=dialog]');
    await this.choose('Unit', unit);
    await this.press('Done');
    await this.until('the settings stay open', async () => !(await this.has('[role=dialog]')));
  }

  /** What is told of a line at the foot of the bench, once it is in hand. */
  async told(line: string): Promise<string> {
    const xpath = `//*[@data-line="${line}"]//*[self::input or self::select]`;
    await this.reveal(xpath);
    await (await this.at(xpath)).click();
    return this.text(`[data-told="${line}"]`);
  }

  /** Takes a choice from the list that stands beside a label. */
  async choose(label: string, value: string): Promise<void> {
    const xpath = `//label[normalize-space()="${label}" or starts-with(normalize-space(), "${label} ")]`;
    if (!(await this.has('[role=dialog]'))) await this.reveal(xpath);
    const found = await this.driver.wait(until.elementLocated(By.xpath(xpath)), WAIT, `no list “${label}”`);
    const [inside] = await found.findElements(By.css('select'));
    const list = inside ?? (await found.findElement(By.xpath('following::select[1]')));
    await list.findElement(By.css(`option[value="${value}"]`)).click();
  }

  /** Takes the item of an open menu that reads so. */
  async pick(words: string): Promise<void> {
    const xpath = `//*[@role="menuitem"][normalize-space()="${words}"]`;
    await (await this.driver.wait(until.elementLocated(By.xpath(xpath)), WAIT, `no “${words}”`)).click();
    await this.until('the menu stays open', async () => !(await this.has('[role=menu]')));
  }

  /** Types into a field and leaves it with Enter. */
  async enter(label: string, text: string): Promise<void> {
    const field = await this.fieldFor(label);
    await field.click();
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), text, Key.ENTER);
  }

  async valueOf(label: string): Promise<string> {
    return plain((await (await this.fieldFor(label)).getAttribute('value')) ?? '');
  }

  /** What one reads there; what is still fading in is waited for. */
  async text(css: string): Promise<string> {
    const there = await this.find(css);
    const words = await this.driver.wait(async () => (await there.getText()) || false, SOON * 2).catch(() => '');
    return plain(words === false ? '' : words);
  }

  /** What one reads in each of those that are there, read at once: asked for one by one, a long list takes minutes. */
  async texts(css: string): Promise<string[]> {
    const read = 'return [...document.querySelectorAll(arguments[0])].map((e) => e.innerText.trim())';
    return (await this.driver.executeScript<string[]>(read, css)).map(plain);
  }

  async keys(...keys: string[]): Promise<void> {
    await this.driver
      .actions()
      .sendKeys(...keys)
      .perform();
  }

  async chord(...keys: string[]): Promise<void> {
    await (await this.driver.switchTo().activeElement()).sendKeys(Key.chord(...keys));
  }

  /** Takes hold of a handle, such as `back.crotch`, moves it by pixels and lets go. */
  async drag(handle: string, x: number, y: number): Promise<void> {
    const grip = await this.handle(handle);
    await this.driver
      .actions()
      .move({ origin: grip })
      .press()
      .move({ origin: Origin.POINTER, x: Math.round(x / 2), y: Math.round(y / 2), duration: 60 })
      .move({ origin: Origin.POINTER, x: x - Math.round(x / 2), y: y - Math.round(y / 2), duration: 60 })
      .release()
      .perform();
  }

  /** The middle of a handle. */
  handle(name: string): Promise<WebElement> {
    return this.find(`[data-handle="${name}"] .grip`);
  }

  /** The path data of an edge, such as `back.rise`, in board millimetres. */
  async edge(name: string): Promise<string> {
    // Read at once: the board may be drawn again between finding a line and reading it.
    return this.driver.wait(
      () =>
        this.driver.executeScript<string | null>(
          'return document.querySelector(arguments[0])?.getAttribute("d") ?? null',
          `[data-edge="${name}"]`,
        ),
      WAIT,
      `no edge ${name}`,
    ) as Promise<string>;
  }

  /**
   * Where on the screen a share of an edge, such as `back.rise`, lies; the edge as the outline runs, waist to hem and
   * up again.
   */
  async spot(edge: string, share: number): Promise<{ x: number; y: number }> {
    await this.find(`[data-edge="${edge}"]`);
    return this.driver.executeScript(
      `const path = document.querySelector('[data-edge="${edge}"]');
       const p = path.getPointAtLength(path.getTotalLength() * ${share}).matrixTransform(path.getScreenCTM());
       return { x: p.x, y: p.y };`,
    );
  }

  /** Where a line's figure comes from: sheet, hand or estimate. */
  async sourceOf(line: string): Promise<string> {
    await this.reveal(`//*[@data-line="${line}"]`);
    return (await (await this.find(`[data-line="${line}"] .field`)).getAttribute('data-source')) ?? '';
  }

  async saved(): Promise<void> {
    await this.until('the draft is not saved', async () => (await this.text('[data-testid="saved"]')) === 'Saved');
  }

  /** A file that the page has saved, once it is whole; what takes long to make is waited for as long as is said. */
  async download(ending: string, ms = WAIT): Promise<string> {
    let found = '';
    await this.until(
      `no ${ending} was saved`,
      async () => {
        const names = (await readdir(this.browser.downloads)).filter((n) => n.endsWith(ending));
        const [name] = names;
        if (name === undefined) return false;
        found = join(this.browser.downloads, name);
        return (await stat(found)).size > 0;
      },
      ms,
    );
    return found;
  }
}
