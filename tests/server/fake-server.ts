import { ulid } from 'ulid';
import { recordsWith } from '../../src/core/rulebook/sound-entry.test.data';
import { closeApp, openApp, type App } from '../../src/server/app/app';
import { listedSites } from '../../src/server/base/site-list';
import { clockFrom } from '../../src/server/base/clock';
import { acceptCommands } from '../../src/server/commands/accept';
import { slicePieces } from '../../src/server/files/slice';
import { scopeAsk } from '../../src/server/http/asking';
import { commandsAfter, firstCopyOf, newsAfter } from '../../src/server/app/sync';

/** The server's use cases behind a `fetch` that can lose its connection. */
export interface FakeServer {
  fetch: typeof fetch;
  /** The server cannot be reached. */
  away: boolean;
  /** Commands arrive, their answers do not. */
  loseAnswers: boolean;
  /** Answers break off after so many characters; null: they come whole. */
  cutAt: number | null;
  /** Kinds of commands on which the whole request fails. */
  breaksOn: string | null;
  refusePhotos: boolean;
  photos: string[];
  person: { id: string; name: string } | null;
  app: App;
  /** Somebody else gives a command. */
  other: (kind: string, payload: object) => void;
  /** The same database as it was: an older backup. */
  goBack: (folder: string) => void;
  /** The same records in another database. */
  startAnew: (folder: string) => void;
  close: () => void;
}

const now = () => new Date().toISOString();

/** Fields that are kept, not told. */
interface Kept {
  cableSince?: null;
  of?: null;
  lentAt?: null;
}

function seeded(folder: string): App {
  const app = openApp(folder, 'src/store/migrations', clockFrom(undefined));
  const slice = recordsWith({ truth: { 'outer-sheath': [] } });
  const give = (kind: string, payload: object) =>
    acceptCommands(app, [{ id: ulid(), kind, site: 's', at: now(), payload }], { id: 'r', name: 'R. Tarn' });
  const { lastSeal: _l, site: _s, ...own } = slice.get('site', 's')!;
  give('site.add', own);
  const records = [
    ['area', 'a'],
    ['certificate', 'q'],
    ['instrument', 'c'],
    ['cable', 'k'],
    ['enclosure', 'b'],
    ['entry', 'e'],
    ['round', 'r'],
  ] as const;
  for (const [table, id] of records) {
    const { site: _site, ...whole } = slice.get(table, id)!;
    // Since when an entry holds its cable is kept, not told.
    const { cableSince: _since, of: _o, lentAt: _l, ...record } = whole as typeof whole & Kept;
    give(`${table}.add`, record);
  }
  return app;
}

/** A server with one site and a signed-in person. */
export function demoApp(folder: string): FakeServer {
  const server: FakeServer = {
    app: seeded(folder),
    away: false,
    loseAnswers: false,
    cutAt: null,
    breaksOn: null,
    refusePhotos: false,
    photos: [],
    person: { id: 'p1', name: 'A. Vell' },
    other: (kind, payload) =>
      void acceptCommands(server.app, [{ id: ulid(), kind, site: 's', at: now(), payload }], {
        id: 'o',
        name: 'M. Okonjo',
      }),
    startAnew: (other) => {
      closeApp(server.app);
      server.app = seeded(other);
    },
    goBack: (folder) => {
      closeApp(server.app);
      server.app = openApp(folder, 'src/store/migrations', clockFrom(undefined));
    },
    close: () => closeApp(server.app),
    fetch: async (input, init) => {
      if (server.away) throw new TypeError('Failed to fetch');
      const answer = route(server, new URL(String(input), 'http://x'), init ?? {});
      if (server.loseAnswers) throw new TypeError('Failed to fetch');
      if (server.cutAt === null) return answer;
      const text = await answer.text();
      return new Response(text.slice(0, server.cutAt), { status: answer.status });
    },
  };
  return server;
}

const json = (value: unknown, status = 200) => new Response(JSON.stringify(value), { status });

function route(server: FakeServer, url: URL, init: RequestInit): Response {
  const { pathname, searchParams } = url;
  const { app } = server;
  const body = () => JSON.parse(String(init.body)) as { commands: unknown[]; name: string };
  if (pathname === '/api/session/' && init.method === 'POST') {
    server.person = { id: `p-${body().name.replace(/\W/g, '')}`, name: body().name };
    return json({ person: server.person });
  }
  if (pathname === '/api/session/')
    return json({ person: server.person, people: [], now: now(), testClock: false });
  if (pathname === '/api/sites/') return json(listedSites(app));
  if (pathname === '/api/commands/') {
    if (!server.person)
      return json({ error: { code: 'who', message: 'Say who you are.', field: null } }, 401);
    const given = body().commands as { kind: string }[];
    if (server.breaksOn && given.some(({ kind }) => kind === server.breaksOn))
      return json({ error: { code: 'fault', message: 'The server failed.', field: null } }, 500);
    const answers = acceptCommands(app, body().commands, server.person);
    return json({ answers }, answers.every(({ status }) => status === 'refused') ? 422 : 200);
  }
  const [, , , site, what, photo] = pathname.split('/');
  const store = app.sites.get(site!)!;
  if (what === 'photos') return takePhoto(server, photo!);
  if (what === 'known') {
    const { ids } = JSON.parse(String(init.body)) as { ids: string[] };
    return json({ known: store.journal.known(ids) });
  }
  if (what === 'commands')
    return json(commandsAfter(store, Number(searchParams.get('after')), searchParams.get('hash') ?? ''));
  if (what === 'news')
    return json(newsAfter(store, Number(searchParams.get('after')), searchParams.get('hash') ?? ''));
  if (what === 'slice') {
    return new Response(
      [...slicePieces(store, scopeAsk(url))].map((piece) => ('text' in piece ? piece.text : '')).join(''),
    );
  }
  return json(JSON.parse(firstCopyOf(store, app.wholeMost)));
}

function takePhoto(server: FakeServer, id: string): Response {
  if (server.refusePhotos)
    return json({ error: { code: 'not-an-image', message: 'No picture.', field: 'photo' } }, 415);
  server.photos.push(id);
  storeOf(server).photos.add({ id, type: 'image/png', bytes: 1, width: 1, height: 1, sha256: 'x' }, 'x');
  return json({ id });
}

/** The one site's file. */
export const storeOf = ({ app }: Pick<FakeServer, 'app'>) => app.sites.get('s')!;

/** Values of the readings that the server holds, in the order in which it took them. */
export const acceptedBy = ({ app }: FakeServer): number[] =>
  commandsAfter(app.sites.get('s')!, 0).commands.flatMap(({ command }) =>
    command.kind === 'reading.take' ? [command.payload.value] : [],
  );
