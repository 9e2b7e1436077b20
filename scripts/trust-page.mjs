/**
 * The one page that is there without TLS: how a phone comes to trust the authority of this folder. It gives out nothing but the
 * authority's certificate, which is no secret.
 */
import { createServer } from 'node:http'

const page = (address, fingerprint) => `<!doctype html>
<html lang="en"><meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Trust Agonis</title>
<style>
body{font:18px/1.5 sans-serif;max-width:34rem;margin:2rem auto;padding:0 1rem;background:#f6efe4;color:#1f1b18}
code{word-break:break-all;font-size:.85em}a{color:#8f3d19}li{margin:.6em 0}</style>
<h1>Let this phone trust Agonis</h1>
<p>Agonis runs at home and vouches for itself. Once this phone trusts its certificate, its pages open like any other.</p>
<ol>
<li><a href="/agonis-authority.crt">Take the certificate</a>.</li>
<li>Compare its SHA-256 with the one on the screen of the computer, or in its terminal:<br><code>${fingerprint}</code><br>
If they differ, do not go on: something else answers here.</li>
<li>Install it as an authority: in the phone's settings, search <em>certificate</em>. Where it arrives as a profile, install that, and
switch it on under <em>certificate trust</em>.</li>
<li>Open <a href="${address}">${address}</a>.</li>
</ol>
<p>To undo it, remove the certificate in the same place.</p></html>`

/** Serves the page until it is stopped. */
export function startTrustPage({ host, port, address, authority, fingerprint }) {
  const headers = {
    'cache-control': 'no-store',
    'x-content-type-options': 'nosniff',
    'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'",
  }
  const server = createServer((request, response) => {
    if (request.method !== 'GET') return void response.writeHead(405, headers).end()
    if (request.url === '/agonis-authority.crt')
      return void response.writeHead(200, { ...headers, 'content-type': 'application/x-x509-ca-cert' }).end(authority)
    if (request.url !== '/') return void response.writeHead(404, headers).end()
    response.writeHead(200, { ...headers, 'content-type': 'text/html' }).end(page(address, fingerprint))
  })
  return new Promise((resolve, reject) => {
    server.once('error', reject)
    server.listen(port, host, () => resolve({ port: server.address().port, stop: () => new Promise(done => server.close(done)) }))
  })
}
