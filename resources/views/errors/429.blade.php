<x-failure title="Too many tries"><p>Wait a minute, then try again.</p></x-failure>
