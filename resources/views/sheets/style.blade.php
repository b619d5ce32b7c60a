<style>
    @page { margin: 44px 40px 52px; }
    body { font-family: 'DejaVu Sans', sans-serif; font-size: 9.5pt; color: #1c2227; line-height: 1.4; }
    h1 { font-size: 17pt; margin: 0 0 2px; }
    h2 { font-size: 11.5pt; margin: 16px 0 4px; border-bottom: 1.5px solid #0f5561; color: #0f5561; }
    p { margin: 3px 0; }
    .soft { color: #59605f; }
    .right { text-align: right; }
    table { width: 100%; border-collapse: collapse; }
    td, th { padding: 3px 6px 3px 0; vertical-align: top; text-align: left; }
    table.lines td { border-top: 0.7px solid #d3cabb; }
    table.map td, table.map th { text-align: center; padding: 4px; border-left: 0.7px solid #d3cabb; }
    table.map th:first-child, table.map td:first-child { text-align: left; border-left: none; width: 62px; }
    .bar { background: #2a6540; width: 26px; margin: 0 auto; }
    .out { background: #c9d3cb; width: 26px; margin: 0 auto; }
    .whole { page-break-inside: avoid; }
    .good { color: #2a6540; } .bad { color: #a12d22; }
    .track { background: #efe8da; height: 8px; width: 160px; margin-top: 4px; }
    .fill { background: #0f5561; height: 8px; }
    ul { margin: 2px 0 2px 16px; padding: 0; }
    .sign td { padding-top: 34px; border-bottom: 0.8px solid #1c2227; width: 45%; }
</style>
