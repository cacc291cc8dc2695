<svg width="26" height="24" viewBox="0 0 26 24" aria-hidden="true" focusable="false">
    <g stroke="#d9b25e" stroke-width="2.6" fill="none">
        <path d="M2 5H22" />
        <path d="M2 12H17" />
        <path d="M2 19H11" />
    </g>
    <g stroke="#e9f1ec" stroke-width="2" fill="none">
        <path d="M23 2V8" />
        <path d="M18 9V15" />
        <path d="M12 16V22" />
    </g>
</svg>
