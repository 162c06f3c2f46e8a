// The headless browser of Debian: the one made for tests where it is there, which takes a third less of the machine, else the whole one.
import { existsSync } from 'node:fs';

const lean = '/usr/bin/chromium-headless-shell';
export const browserPath = process.env.CHROMIUM ?? (existsSync(lean) ? lean : '/usr/bin/chromium');
