<x-page title="Empty">Nothing.</x-page>
