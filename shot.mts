import { startBrowser, resize, complaints } from './e2e/browser.js';
import { writeFileSync } from 'node:fs';
const b = await startBrowser();
const theme = process.env.THEME;
await b.driver.get('http://localhost:4173/demo');
if (theme) await b.driver.executeScript(`localStorage.setItem('upstride-preferences', JSON.stringify({state:{theme:'${theme}'},version:1}))`);
for (const arg of process.argv.slice(2)) {
  const [path, name, size, js] = arg.split('|');
  if (size) { const [w,h]=size.split('x').map(Number); await resize(b.driver, w!, h!, w!<600); }
  await b.driver.get('http://localhost:4173' + path); await new Promise(r => setTimeout(r, 1300));
  if (js) { await b.driver.executeScript(js); await new Promise(r => setTimeout(r, 500)); }
  writeFileSync(`/tmp/shots/${name}.png`, await b.driver.takeScreenshot(), 'base64');
  console.log(name, await complaints(b.driver));
}
await b.quit();
