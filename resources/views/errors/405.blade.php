<x-failure title="Not here"><p>This address does not take what was sent to it. Go back and use the page's own buttons.</p></x-failure>
