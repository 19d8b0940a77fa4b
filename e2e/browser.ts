import { mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Builder, logging, type WebDriver } from 'selenium-webdriver';
import chrome from 'selenium-webdriver/chrome.js';

const FLAGS = [
  '--headless',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--enable-unsafe-swiftshader',
];

/** A browser with a profile and a download folder of its own. */
export interface Browser {
  readonly driver: WebDriver & {
    sendDevToolsCommand: (name: string, parameters: object) => Promise<void>;
    sendAndGetDevToolsCommand: <T>(name: string, parameters: object) => Promise<T>;
  };
  readonly downloads: string;
  readonly quit: () => Promise<void>;
}

/** Starts headless Chromium with a viewport of the given size, on a profile of its own unless one is named. */
export async function startBrowser(width = 1280, height = 800, kept?: string): Promise<Browser> {
  const profile = kept ?? (await mkdtemp(join(tmpdir(), 'upstride-profile-')));
  const downloads = await mkdtemp(join(tmpdir(), 'upstride-downloads-'));
  const options = new chrome.Options();
  options.addArguments(...FLAGS, `--window-size=${width},${height}`, `--user-data-dir=${profile}`);
  options.setUserPreferences({ 'download.default_directory': downloads, 'download.prompt_for_download': false });
  options.setChromeBinaryPath(process.env['CHROMIUM'] ?? '/usr/bin/chromium');
  const wanted = new logging.Preferences();
  wanted.setLevel(logging.Type.BROWSER, logging.Level.ALL);
  options.setLoggingPrefs(wanted);
  const driver = (await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(new chrome.ServiceBuilder(process.env['CHROMEDRIVER'] ?? '/usr/bin/chromedriver'))
    .build()) as Browser['driver'];
  await resize(driver, width, height);
  return { driver, downloads, quit: () => driver.quit() };
}

/** Gives the page a viewport of exactly this size. */
export async function resize(driver: Browser['driver'], width: number, height: number, mobile = false): Promise<void> {
  await driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
    width,
    height,
    deviceScaleFactor: 1,
    mobile,
  });
}

/** What the page has complained of since the last call: errors and uncaught exceptions. */
export async function complaints(driver: WebDriver): Promise<string[]> {
  const entries = await driver.manage().logs().get(logging.Type.BROWSER);
  return entries.filter((e) => e.level.value >= logging.Level.SEVERE.value).map((e) => e.message);
}
