import dev.tavik.count.*
import dev.tavik.study.rate.*
var answer = RateQuestion.of(Tally.parse("14/400"), 0.05).ask()
System.out.println(answer)
/exit
