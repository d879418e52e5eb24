import { appFromEnvironment, run, serve } from '../server/main/main';

/** Starts the server on the data folder. */
void run(() => serve(appFromEnvironment()));
