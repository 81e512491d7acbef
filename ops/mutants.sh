# Rules broken on purpose; read by the launcher, whose functions it uses.

# Breaks every rule of the core one at a time, or of the packages named, and tells which breaks no test notices.
mutants() { # package...
  local of="app.velvetcrock.core.*" one
  if [ $# -gt 0 ]; then
    of=""
    for one in "$@"; do
      [ -d "core/src/main/java/app/velvetcrock/core/$one" ] || fail "core has no package \"$one\"." "one of: $(cd core/src/main/java/app/velvetcrock/core && printf '%s ' */ | tr -d /)"
      of+="${of:+,}app.velvetcrock.core.$one.*"
    done
  fi
  install_missing
  mkdir -p "$STATE"
  say "Breaking $of (about two minutes a package)"
  maven "The breaking" "$STATE/mutants.log" -Pmutants -Dmutants.of="$of" -Dspotless.check.skip=true -pl core test-compile org.pitest:pitest-maven:mutationCoverage
  # file, class, mutator, method, line, status, test
  awk -F, '
    { split($2, part, "."); of = part[4]; all[of]++; if ($6 == "KILLED" || $6 == "TIMED_OUT" || $6 == "MEMORY_ERROR") killed[of]++ }
    END { for (one in all) printf "%-12s %4d broken, %3d %% noticed\n", one, all[one], 100 * killed[one] / all[one] }
  ' core/target/pit-reports/mutations.csv | sort
  say "What was not noticed, line by line: core/target/pit-reports/index.html"
}

# Many times the made-up cases of an ordinary run and every cell of the long tables, then every rule broken.
deep() {
  say "Trying ${CROCK_CASES:-20} times as many made-up cases, and every cell"
  run_tests -Dcrock.cases="${CROCK_CASES:-20}" -Dcrock.plans=10000 -Dcrock.malformed=5000 -Dcrock.messages=20000 -Dcrock.races=200 -pl core,app || fail "Something failed that an ordinary run does not try."
  mutants
}
