<x-failure title="Something broke here"><p>It is written in the log of this machine. What you were doing was not done, unless its page says so.</p></x-failure>
