/** The demo shelf: what the athlete and her club wrote down, in the script's own words. */
export const demoScripts: readonly string[] = [
  `title Quay ladder
sport run
place track, lane 1

warm-up until press
3 times, drop last recovery
  400 m @ 5k effort
  recovery 1:30 jog
recovery 3:00
repeat for 3 km
  4:00 @ 10k effort + 8 s/km
  recovery 1:30
cool-down until press
`,
  `title Boathouse fours
sport ride
place trainer

warm-up 16:00 @ 65-75 %CP
2 times, drop last recovery
  4 times
    1:30 @ 102-106 %CP and 85-95 rpm
    recovery 1:00 @ 55-65 %CP
  recovery 4:00
cool-down 12:00 @ 55-65 %CP
`,
  `title Kvitberg fours
sport ride
place outdoors

warm-up 16:00 @ 65-75 %CP
4 times
  1:30 @ 102-106 %CP
  recovery 1:00 @ 55-65 %CP
recovery 4:00
4 times
  1:30 @ 106-110 %CP and 90-95 rpm
  recovery 1:00 @ 55-65 %CP
recovery 2:00
10:00 @ 85-90 %CP  # seated, over the top
cool-down until press
`,
  `title Three nines
sport run
place road

warm-up 25:00
3 times
  9:00 @ 4:30-4:40 /km
  recovery 4:00 jog
cool-down until press
`,
  `title Twelve threes
sport run
place track, lane 1

warm-up 2 km
12 times, drop last recovery
  300 m in 1:15-1:18
  recovery 100 m jog
cool-down 2 km
`,
  `title Eight threes
sport run
place track, lane 1

warm-up 2 km
8 times, drop last recovery
  300 m in 1:18-1:21
  recovery 100 m jog
cool-down 2 km
`,
  `title Sound hundreds
sport swim
place pool 25 m

warm-up 400 m choice
8 times
  100 m on 2:10 free
4 times, drop last recovery
  50 m back kick fins
  rest 0:20
cool-down 200 m
`,
  `title Threshold swim
sport swim
place pool 25 m

warm-up 300 m
5 times, drop last recovery
  200 m free @ 1:52-1:58 /100m
  rest 0:25
4 times
  50 m free pull buoy
  rest 0:15
cool-down 200 m choice
`,
  `title Long Sunday, quay to lighthouse
sport run
place road
ceiling 150 bpm
prompt drink from 40:00 every 20:00
# the club runs this one together

1:35:00 @ easy effort
`,
  `title Kvitberg steady
sport ride
place outdoors
prompt eat from 30:00 every 30:00

warm-up 15:00
1:20:00 @ 68-75 %CP
20:00 @ 85-90 %CP
cool-down 10:00
`,
  `title Easy and strides
sport run
place road

40:00 @ easy effort
6 times
  0:20 stride
  recovery 1:00 walk
`,
  `title Six on the hill
sport run
place trail

warm-up until press
6 times
  1:00 uphill 6-8 % @ RPE 8
  recovery until HR below 125 walk
cool-down 10:00
`,
  `title Sixes with float
sport run
place road

warm-up 2 km
4 times, drop last recovery
  6:00 @ 4:38-4:46 /km
  recovery 1:30 float
cool-down 2 km
`,
  `title Ten quick minutes
sport run
place road

warm-up 15:00
10 times
  1:00 @ 3k effort
  recovery 1:00 jog
cool-down 10:00
`,
  `title Race rehearsal
sport run
place road

warm-up until press
3 km @ goal effort
recovery 3:00 jog
2 km @ goal effort
recovery 2:00 jog
1 km @ goal effort - 3 s/km
cool-down 10:00
`,
  `title Progression home
sport run
place road

warm-up 10:00
30:00 @ 6:00 to 4:50 /km
cool-down 5:00
`,
  `title Recovery jog
sport run
place road
ceiling 140 bpm

30:00 @ easy effort - 5 %
`,
  `title Over and under
sport ride
place trainer

warm-up 15:00 @ 60-70 %CP
3 times, drop last recovery
  4 times
    2:00 @ 90-95 %CP
    1:00 @ 104-108 %CP
  recovery 5:00 @ 50-60 %CP
cool-down 10:00 @ 50-60 %CP
`,
  `title Cadence ladder
sport ride
place trainer

warm-up 10:00 @ 60-70 %CP
3:00 @ 75-80 %CP and 75-80 rpm
3:00 @ 75-80 %CP and 85-90 rpm
3:00 @ 75-80 %CP and 95-100 rpm
3:00 @ 75-80 %CP and 85-90 rpm
3:00 @ 75-80 %CP and 75-80 rpm
cool-down 10:00
`,
  `title Gravel endurance
sport ride
place outdoors

2:15:00 @ zone 2 power
`,
  `title Critical power test, three minutes
sport ride
place trainer
# all out hurts; leave it when you are ill, and ask a doctor first if you have not done hard efforts before

warm-up 20:00 @ 60-70 %CP
3 times
  0:20 @ 110-120 %CP
  recovery 1:40 @ 50-60 %CP
recovery 5:00
3:00 @ max effort  # all out from the first second
cool-down 15:00 @ 50-60 %CP
`,
  `title Kick and pull
sport swim
place pool 25 m

warm-up 300 m choice
6 times, drop last recovery
  50 m kick board
  rest 0:20
6 times, drop last recovery
  100 m pull buoy paddles
  rest 0:20
200 m free "catch-up"
cool-down 100 m
`,
  `title Open water, along the ropes
sport swim
place open-water
# never alone: with the club's boat

warm-up 10:00
3 times, drop last recovery
  8:00 @ steady effort
  recovery 1:30
cool-down 5:00
`,
  `title Swim test 400 and 200
sport swim
place pool 25 m

warm-up 600 m choice
400 m @ max effort
rest 8:00
200 m @ max effort
cool-down 300 m choice
`,
  `title Marathon twos
sport run
place road

warm-up 15:00
2 times, drop last recovery
  5 km @ marathon effort
  recovery 3:00 float
cool-down 10:00
`,
  `title Treadmill tens
sport run
place treadmill

warm-up 10:00
3 times, drop last recovery
  10:00 uphill 1 % @ zone 3 heart rate
  recovery 2:00 walk
cool-down 5:00
`,
  `title Quay to sound brick
sport multi

leg ride, place outdoors
  30:00 @ 70-80 %CP
  10:00 @ 88-94 %CP
transition until press
leg run, place road
  15:00 @ 4:50-5:00 /km
  5:00 @ easy effort
`,
]

/** What the club wrote for a day of next week: one of its lengths has two readings, and waits for an answer. */
export const demoDoubtful = `title Club evening
sport run

warm-up 2 km
5 x 3m @ 10k effort / 90 s jog
cool-down 2 km
`
