<x-failure title="This page is too old"><p>It was open too long, or you signed out meanwhile. Nothing was done. Go back, load the page again, and repeat it.</p></x-failure>
