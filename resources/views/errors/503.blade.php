<x-failure title="Closed for a moment"><p>The application is being brought up to date. Load this page again in a minute.</p></x-failure>
