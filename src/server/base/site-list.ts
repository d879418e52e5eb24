import type { Id } from '../../core/record/types';
import type { Installation, ListedSite } from '../../store/installation';
import { DatabaseError } from '../../store/open';
import type { SiteStores } from '../../store/site-stores';

/** What the list of sites is made with. */
export interface Listing {
  installation: Installation;
  sites: SiteStores;
  /** Sites that have changed since they were listed. */
  changed: Set<Id>;
}

/** Lists a site; one whose file is damaged stays in the list as it was, and is named. */
export function listSafely(app: Listing, id: Id): void {
  try {
    listSite(app, id);
  } catch (error) {
    if (!(error instanceof DatabaseError)) throw error;
    app.changed.delete(id);
    console.error(error.message);
  }
}

/** The sites as they are now, by name. */
export function listedSites(app: Listing): ListedSite[] {
  for (const id of app.changed) listSafely(app, id);
  return app.installation.sites();
}

/** Lists a site as it is now. */
export function listSite({ installation, sites, changed }: Listing, id: Id): void {
  changed.delete(id);
  const store = sites.get(id);
  const site = store?.site;
  if (store && site) installation.list(id, site.name, store.summary());
  else installation.unlist(id);
}
