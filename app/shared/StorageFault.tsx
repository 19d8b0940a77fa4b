/** The same as a page of its own, where nothing of a room can be read. */
export const StorageFaultPage = ({ fault }: { fault: Error }) => (
  <main className="page">
    <StorageFault fault={fault} />
  </main>
);

/** That the browser does not let anything be stored, or its store cannot be opened, and the way out. */
export function StorageFault({ fault }: { fault: Error }) {
  return (
    <p className="problem" role="alert">
      {fault.name === 'VersionError'
        ? 'What is stored here was written by a newer Upstride. Load the page again to get the newer one; nothing is lost.'
        : `This browser does not let Upstride store anything: ${fault.message}. Allow storage for this address, leave a private window, and load the page again.`}
    </p>
  );
}
