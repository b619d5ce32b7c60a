<?php

use Illuminate\Support\Facades\Schedule;

// What grows by itself is cut back, on one machine for all.
Schedule::command('ispira:tidy')->dailyAt('03:10')->onOneServer();
