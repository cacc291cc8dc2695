<x-failure title="Too large"><p>What was sent is too large, and none of it was kept. Save the list as CSV without pictures or other sheets, and bring it in again.</p></x-failure>
