import { X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { hostname, networkInterfaces, tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureTools, must } from './machine.mjs';
import { say } from './say.mjs';

const AUTHORITY_DAYS = 3650;
/** Browsers take no longer one. */
const DAYS = 397;
const RENEW_DAYS = 30;

/** Addresses under which this machine is reached from the shop's network. */
function lanAddresses() {
  return Object.values(networkInterfaces())
    .flat()
    .flatMap((i) => (i && !i.internal && (i.family === 'IPv4' || !i.address.startsWith('fe80')) ? [i.address] : []));
}

/** Every name and address that the certificate has to hold. `DAUER_LAN_NAME` adds one. */
function lanNames() {
  const own = hostname();
  const given = process.env.DAUER_LAN_NAME ? [process.env.DAUER_LAN_NAME] : [];
  return { dns: [...new Set([...given, own, `${own.split('.')[0]}.local`, 'localhost'])], ip: ['127.0.0.1', ...lanAddresses()] };
}

function openssl(args) {
  return must('openssl', args, { cwd: '/' });
}

function makeAuthority(home) {
  say('Making the shop’s own authority …');
  const key = join(home, 'authority.key');
  const crt = join(home, 'authority.crt');
  openssl(['ecparam', '-name', 'prime256v1', '-genkey', '-noout', '-out', key]);
  openssl([
    ...['req', '-x509', '-new', '-key', key, '-sha256', '-days', String(AUTHORITY_DAYS), '-out', crt],
    ...['-subj', `/CN=Dauer at ${hostname()}`],
    ...['-addext', 'basicConstraints=critical,CA:TRUE,pathlen:0'],
    ...['-addext', 'keyUsage=critical,keyCertSign,cRLSign'],
  ]);
}

/** Whether a certificate still holds for a while, and for every name asked for. */
function good(path, authority, { dns, ip }) {
  if (!existsSync(path)) return false;
  const cert = new X509Certificate(readFileSync(path));
  const days = (Date.parse(cert.validTo) - Date.now()) / 86400000;
  const named = dns.every((d) => cert.checkHost(d) !== undefined) && ip.every((i) => cert.checkIP(i) !== undefined);
  return days > RENEW_DAYS && named && cert.verify(new X509Certificate(readFileSync(authority)).publicKey);
}

/**
 * Makes sure of a certificate of the shop's own authority, made on this machine; renews it before it runs out, and when
 * the machine's names or addresses changed.
 * @returns paths of the certificate, its key and the authority, and whether it was made now
 */
export function ensureCertificate(home, names = lanNames()) {
  ensureTools(['openssl']);
  mkdirSync(home, { recursive: true, mode: 0o700 });
  const authority = join(home, 'authority.crt');
  if (!existsSync(authority) || Date.parse(new X509Certificate(readFileSync(authority)).validTo) - Date.now() < DAYS * 86400000)
    makeAuthority(home);
  const paths = { cert: join(home, 'server.crt'), key: join(home, 'server.key'), authority };
  if (good(paths.cert, authority, names)) return { ...paths, made: false };
  const work = mkdtempSync(join(tmpdir(), 'dauer-cert-'));
  try {
    const [key, csr, crt, ext] = ['server.key', 'server.csr', 'server.crt', 'ext'].map((f) => join(work, f));
    const alt = [...names.dns.map((d) => `DNS:${d}`), ...names.ip.map((i) => `IP:${i}`)].join(',');
    writeFileSync(ext, `basicConstraints=CA:FALSE\nkeyUsage=digitalSignature\nextendedKeyUsage=serverAuth\nsubjectAltName=${alt}\n`);
    openssl(['ecparam', '-name', 'prime256v1', '-genkey', '-noout', '-out', key]);
    openssl(['req', '-new', '-key', key, '-subj', `/CN=${names.dns[0]}`, '-out', csr]);
    openssl([
      ...['x509', '-req', '-in', csr, '-CA', authority, '-CAkey', join(home, 'authority.key'), '-CAcreateserial'],
      ...['-days', String(DAYS), '-sha256', '-extfile', ext, '-out', crt],
    ]);
    // The key first: whoever reads a new certificate finds its key.
    writeFileSync(`${paths.key}.new`, readFileSync(key), { mode: 0o600 });
    renameSync(`${paths.key}.new`, paths.key);
    writeFileSync(`${paths.cert}.new`, readFileSync(crt));
    renameSync(`${paths.cert}.new`, paths.cert);
  } finally {
    rmSync(work, { recursive: true, force: true });
  }
  return { ...paths, made: true };
}

/** Keeps the certificate good while the server runs: looked at twice a day; the server reads it again by itself. */
export function keepCertificate(home) {
  const timer = setInterval(() => {
    try {
      ensureCertificate(home);
    } catch (error) {
      say(`The certificate could not be renewed: ${error.message}`);
    }
  }, 43200000);
  timer.unref();
  return () => clearInterval(timer);
}

/** The address to give to a tablet: the first of the shop's network. */
function lanUrl(port) {
  // Where the machine answers to a name of its own on the network, tablets keep it through a change of address.
  const byName = existsSync('/run/avahi-daemon/socket') ? `${hostname().split('.')[0]}.local` : null;
  return `https://${process.env.DAUER_LAN_NAME ?? byName ?? lanAddresses().find((a) => !a.includes(':')) ?? hostname()}:${port}`;
}

/**
 * The address of the shop on its network, and the former one where it changed: what tablets took under that and have not
 * sent yet lies there.
 * @param {string} home folder of the authority
 */
export function lanAddress(home, port) {
  const path = join(home, 'address.json');
  const url = lanUrl(port);
  const known = existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : { url, former: null };
  const former = known.url === url ? known.former : known.url;
  const now = { url, former: former === url ? null : former };
  writeFileSync(path, JSON.stringify(now));
  if (known.url !== url)
    say(
      `The address changed: ${known.url} before, ${url} now. What a tablet took there and has not sent lies under the old one; Shop, “Add a tablet”, says how it is sent.`,
    );
  return now;
}

/** Whether the network may be listened on at all: nothing is served in the clear beyond loopback. */
export const asksForLan = () => process.argv.includes('--lan');
