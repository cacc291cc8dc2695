<x-failure title="Not understood"><p>Something in this request was not what the page asks for. Nothing was done.</p></x-failure>
