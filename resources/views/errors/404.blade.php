<x-failure title="Not here"><p>There is nothing at this address. A name, account or docket may have been written differently.</p></x-failure>
