import { endpoint, json } from '../../../server/http/endpoint';

export const prerender = false;

/** The register of instruments, each with the sites that it is lent to. */
export const GET = endpoint(({ app }) => {
  const names = new Map(app.installation.sites().map(({ id, name }) => [id, name]));
  const rows = app.installation.register.all().map(({ instrument, sites }) => ({
    instrument,
    sites: sites.map((id) => ({ id, name: names.get(id) ?? id })),
  }));
  return json(rows);
});
