<x-failure title="Not yours to do"><p>Your role does not allow this. A Steward or an Owner can do it, or change your role.</p></x-failure>
