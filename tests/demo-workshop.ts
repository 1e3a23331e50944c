import { Workshop } from './workshop';

/** Loads the demo workshop once; every test that wants it begins with a copy of its database. */
export default async function loadDemoOnce(): Promise<() => Promise<void>> {
  const workshop = await Workshop.serve({ demo: true });
  await workshop.stop('SIGTERM');
  process.env.KIRAPEN_DEMO_DATABASE = workshop.database;
  return () => workshop.close();
}
