// An RDAP client by others, given the simulated world's address instead of the public one: node rdapper.mjs PORT NAME...
import { readFileSync } from 'node:fs';
import https from 'node:https';
import { lookup } from 'rdapper';

const [port, ...names] = process.argv.slice(2);
const ca = readFileSync(process.env.AUTHORITY);
const get = (address) =>
    new Promise((resolve, reject) => {
        const url = new URL(address);
        https
            .get(
                {
                    host: '127.0.0.1',
                    port,
                    servername: url.hostname,
                    path: url.pathname + url.search,
                    ca,
                    headers: { Host: url.hostname, Accept: 'application/rdap+json' },
                },
                (answer) => {
                    let body = '';
                    answer.on('data', (bytes) => {
                        body += bytes;
                    });
                    answer.on('end', () =>
                        resolve(
                            new Response(body, { status: answer.statusCode, headers: { 'Content-Type': answer.headers['content-type'] } }),
                        ),
                    );
                },
            )
            .on('error', reject);
    });
const bootstrap = await (await get('https://bootstrap.example/dns.json')).json();
for (const name of names) {
    const { ok, record, error } = await lookup(name, {
        rdapOnly: true,
        customBootstrapData: bootstrap,
        customFetch: (input) => get(typeof input === 'string' ? input : (input.url ?? String(input))),
    });
    console.log(
        JSON.stringify(
            ok
                ? {
                      domain: record.domain,
                      registrar: record.registrar?.name,
                      isRegistered: record.isRegistered,
                      created: record.creationDate,
                      ends: record.expirationDate,
                      statuses: record.statuses?.map((one) => one.status),
                      transferLock: record.transferLock,
                      servers: record.nameservers?.map((one) => one.host),
                      dnssec: record.dnssec,
                  }
                : { error },
        ),
    );
}
