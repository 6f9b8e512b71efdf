package dev.tavik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every trouble is one message that says what would do, and a status; nothing else is written. */
class TroubleTest {
  @TempDir Path folder;

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '\0',
      textBlock =
          """
          2|rate 14/400 --against 5% --prior 0,1|two numbers above 0
          2|rate 14/400 --against 5% --prior 1|--prior must be two numbers above 0
          2|rate 14/400 --against 5% --prior -1,2|--prior must be two numbers above 0
          2|rate 14/400 --against 5% --region 6%,4%|must run upwards
          2|rate 14/400 --against 5% --region 4%|--region must be two values
          2|rate 14/400 --against 5% --region 4%,160%|--region
          2|rate 14/400 --against 5% --bayes --lot 1000|leave the lot out
          2|rate 14/400 --against 5% --sequence|counts have none
          2|rate --data demo/returns-by-depot.csv --outcome reason --success chipped --count n --against 5% --sequence|counts have none
          2|rate --data demo/firing-log.csv --outcome grade --success cracked --group kiln --against 5% --sequence|keep one group with --where
          2|rate --planned 400 --against 5% 14/400|a tally doesn't go with --planned
          2|rate --planned 4e9 --against 5%|--planned must be whole numbers
          2|rate --planned 200000 --against 5%|from 1 to 100000
          2|rate --planned 400 --against 5% --threshold 0.5|--threshold must be a number above 1
          2|rate 14/400 --against 5% --threshold 10|--threshold needs --planned
          2|rate 14/400 --against 5% --bayes --region -2%,2%|between 0 and 1
          2|rate 14/400 --against 0 --bayes|against
          2|compare North=14/400 South=31/410 --bayes --against 2%|leave against out
          2|compare North=14/400 South=31/410 --prior 0.01,1|from 0.1
          2|compare North=14/400 South=31/410 --region 3%,1%|must run upwards
          2|compare --paired --cells '14 1; 2 211' --bayes|tavik rate 14/16 --against 50% --bayes
          2|cross --cells '14 386; 31 379' --prior -1|one number above 0
          2|cross --cells '14 386; 31 379' --sampling margins|free, total, rows, columns or both
          2|cross --cells '14 386; 31 379' --prior 0.5 --bayes|needs a prior above 0.5000
          2|cross --data demo/firing-log.csv --rows kiln --columns grade --strata shift --bayes|doesn't go with --strata
          2|compare|nothing to compare
          2|compare 14/400|needs two groups, got 1
          2|compare North=14/400|needs two groups, got only North
          2|compare A=400/14 B=3/5|did you mean 14/400?
          2|compare 1/5 2/5 3/5|several tallies need names
          2|compare A=1/5 A=2/5|different names
          2|compare A=1/5 B=2/5 --against 2|did you mean 2%?
          2|compare A=1/5 B=2/5 --against 100%|strictly between -1 and 1
          2|compare A=1/5 B=2/5 --margin 3 --show equivalent|did you mean 3%?
          2|compare A=1/5 B=2/5 --show equivalent|a margin is needed
          2|compare A=1/5 B=2/5 --tests fischer|did you mean fisher?
          2|compare A=1/5 B=2/5 --intervals wilson|has no 'wilson'
          2|compare A=1/5 B=2/5 --tests fisher --against 3%|fisher tests the null of no difference
          2|compare A=1/100000 B=9/100000 --tests barnard|up to 100,000 trials
          2|compare A=1/5 B=2/5 --total n|--total needs --table
          2|compare A=1/5 B=2/5 --group kiln|--group needs --data
          2|compare A=1/5 B=2/5 --table x.csv|not from tallies and --table
          2|compare A=1/5 B=2/5 --paired|a tally doesn't go with --paired
          2|compare --cells '1 2; 3 4'|go with --paired
          2|compare --paired --cells '0 0; 0 0'|pairs must be between 1
          2|compare A=1/5 B=2/5 --lot 9|there is no option --lot
          2|compare A=1/5 B=2/5 --chart a.pdf|must end in .png or .svg
          3|compare A=1/5 B=2/5 --baseline C|names no group 'C'
          3|compare --table nowhere.csv|there is no file nowhere.csv
          3|compare --table demo/firing-log.csv|a table holds whole counts
          3|compare --data demo/firing-log.csv --outcome grade --success craked --group kiln|cracked
          2|shares --against equal|nothing to count
          2|shares a=3 b=4|--against is needed
          2|shares a=3 b=4 --against 50%,60%|add up to 110%
          2|shares a=3 b=4 --against 1:1:1|one share for each of the 2 categories
          2|shares a=3 b=4 --against a=50%|no share for 'b'
          2|shares a=3 b=4 --against a=50%,50%|all shares or none
          2|shares a=3 --against equal|shares need two categories or more, got one
          2|shares a=3 a=4 --against equal|two counts are called 'a'
          2|shares a=3.5 b=4 --against equal|NAME=COUNT with a whole number
          2|shares 3 4 --against equal|NAME=COUNT
          2|shares a=0 b=0 --against equal|counts must add up
          2|shares a=3 b=4 --against x,y|a share must be written
          2|shares a=3 b=4 --against equal --tests fisher|has no 'fisher'
          2|shares a=3 b=4 --against equal --order a,b|--order needs --data
          2|shares a=3 --data x.csv --against equal|not from the counts themselves and --data
          3|shares --data demo/firing-log.csv --outcome grad --against equal|grade
          3|shares --data demo/firing-log.csv --outcome grade --order sond --against equal|sound
          2|shares --data demo/firing-log.csv --outcome grade --order sound --against equal|missing
          2|cross|nothing to count
          2|cross --cells '1 2; 3'|as many counts in every row
          2|cross --cells '1 2; 3 x'|rows of whole counts
          2|cross --cells '1 2; 3 4' --table t.csv|counts come from one place
          2|cross --cells '1 2; 3 4' --rows kiln|--rows needs --data
          2|cross --data demo/firing-log.csv --rows kiln|--columns is needed
          2|cross --data demo/firing-log.csv --rows kiln --columns kiln|different columns
          2|cross --cells '1 2; 3 4' --tests fischer|has no 'fischer'
          2|cross --cells '10 20 30; 30 40 50' --tests yates|two rows and two columns
          2|cross --cells '1 2; 3 4' --tests bowker|ask with --paired
          2|cross --cells '1 2; 3 4' --tests mantel-haenszel|name their column with --strata
          2|cross --cells '10 20; 30 40' --tests trend|trend needs ordered levels
          2|cross --cells '10 20 30; 30 40 50; 9 9 9' --tests trend --ordered both|use linear
          2|cross --cells '1 2; 3 4' --ordered up|ordered must be none, rows, columns, both
          2|cross --cells '1 2; 3 4' --row-scores 1,x|numbers that increase
          2|cross --cells '1 2; 3 4' --row-scores 2,1|must be numbers that increase
          2|cross --cells '1 2; 3 4' --row-scores 1,2,3|must be one a level, 2 (row 1, row 2), got 3
          2|cross --cells '1 2; 3 4' --budget soon|a number of seconds
          2|cross --cells '1 2; 3 4' --budget 0|above 0 seconds
          2|cross --cells '1 2; 3 4' --figures percents|has no 'percents'
          2|cross --cells '1 2; 3 4' --merge 'row 1+row 2'|LEVEL+LEVEL=NAME
          3|cross --cells '1 2; 3 4' --merge 'row 1+row 9=x'|there is no level 'row 9'
          3|cross --cells '1 2; 3 4' --merge 'row 1+column 1=x'|mixes rows and columns
          3|cross --cells '1 2; 3 4' --merge 'row 1+row 2=x'|two rows and two columns with counts, got 1
          3|cross --cells '1 2; 3 4' --order 'row 2,row 3'|there is no level 'row 3'
          2|cross --cells '1 2; 3 4; 5 6' --order 'row 2,row 1'|must name every level; missing: row 3
          2|cross --cells '1 2; 3 4; 5 6' --paired|as many rows as columns
          2|cross --cells '1 2; 3 4' --paired --tests pearson|which has bowker;
          2|cross --cells '1 2; 3 4' --strata kiln|--strata needs --data
          3|cross --data demo/firing-log.csv --rows kiln --columns grade --paired|the same levels in rows and columns
          3|cross --data demo/firing-log.csv --rows kiln --columns grade --strata shift|needs two rows and two columns, got 3 (North
          2|cross --data demo/firing-log.csv --rows kiln --columns grade --strata grade|different columns
          3|cross --cells '1 2; 0 0'|two rows and two columns with counts
          3|cross --data demo/firing-log.csv --rows kiln --columns grad|grade
          3|cross --table nowhere.csv|there is no file
          2|rate 14/400 --against 5% --simulate many|--simulate must be a number of draws
          2|rate 14/400 --against 5% --simulate 0|draws must be from 1
          2|rate 14/400 --against 5% --simulate 1e12|draws must be from 1
          2|rate 14/400 --against 5% --simulate 100 --seed x|--seed must be a whole number
          2|rate 14/400 --against 5% --seed 7|--seed needs --simulate
          2|rate 14/400 --against 5% --until-clear|--until-clear needs --simulate
          2|compare A=1/9 B=2/9 --simulate 100 --null-model both|null-model must be one of
          2|compare A=0/9 B=0/9 --simulate 100 --null-model pooled|use shuffle
          2|compare A=1/9 B=2/9 --against 2% --simulate 100|leave against out
          2|cross --cells '5 1; 2 7' --paired --simulate 100|no simulated view
          2|assess rate --p 5%|--n must be the size
          2|assess rate --n 40|--p must give the true rates
          2|assess cross --n 40 --p 5%|assessed for rate or compare
          2|assess rate --n 40,50 --p 5%|--n must be one number
          2|assess rate --n 40 --p 5%..2|--p: a range needs both ends and a step
          2|assess rate --n 90000 --p 5%|n must be from 1 to 20000
          2|assess rate --n 40 --p 5% --intervals newcombe|--intervals has no 'newcombe'
          2|tail|--distribution is needed
          2|tail gauss --value 1|there is no distribution 'gauss'; accepted are normal, t
          2|tail t --value 1|t needs --df
          2|tail normal --df 3 --value 1|--df is no parameter of normal
          2|tail normal|asked for by one of --value X
          2|tail normal --value 1 --area 5%|got several
          2|tail normal --value x|--value must be a number
          2|tail normal --between 2|--between must be two values
          2|tail normal --between 2,1|must run upwards
          2|tail normal --area 120%|area
          2|tail f --df 2 --value 1|--df must be two numbers
          2|tail binomial --n 10 --p 0 --value 1|--p
          2|tail hypergeometric --population 5 --successes 9 --n 2 --value 1|at most the population
          2|rate 400/14 --against 5%|did you mean 14/400?
          2|rate -3/400 --against 5%|a count can't be negative, got -3/400
          2|rate 1.5/400 --against 5%|got '1.5'
          2|rate x/400 --against 5%|got 'x'
          2|rate 0/0 --against 5%|trials must be between 1
          2|rate 14/400|--against is needed
          2|rate 14/400 --against 5|did you mean 5%?
          2|rate 14/400 --against 0|--against must lie strictly between
          2|rate 14/400 --against 1|--against must lie strictly between
          2|rate 14/400 --against|--against
          2|rate 14/400 --against 5% --level 95|did you mean 95%?
          2|rate 14/400 --against 5% --alpha 5|did you mean 5%?
          2|rate 14/400 --against 5% --alternative lower|got 'lower'
          2|rate 14/400 --against 5% --tests scor|did you mean score?
          2|rate 14/400 --against 5% --tests exact --intervals mid-p --working|such as score or wilson
          2|rate 14/400 --against 5% --against 6%|--against
          2|rate 14/400 --against 5% --agianst 6%|there is no option --agianst
          2|rate 14/400 --against 5% -ha|there is no option -ha
          2|compare 14/400 31/410 -Vx|there is no option -Vx
          2|rate 14/400 31/410 --against 5%|need names
          2|rate A=14/400 A=31/410 --against 5%|different names
          2|rate --against 5%|nothing to count
          2|rate 14/400 --outcome grade --against 5%|--outcome needs --data
          2|rate 14/400 --data demo/firing-log.csv --against 5%|leave one out
          2|rate --data demo/firing-log.csv --against 5%|--outcome is needed
          2|rate --data demo/firing-log.csv --outcome grade --success cracked,warped --against 8% --group grade|must be different columns
          2|rate --data demo/firing-log.csv --outcome grade --success cracked,warped --against 8% --where kiln|must be COLUMN=VALUE
          2|rate --data demo/firing-log.csv --outcome grade --success cracked,warped --against 8% --missing keep|drop, level, fail
          2|rate --data demo/firing-log.csv --outcome grade --success cracked,warped --against 8% --out answer.doc|must end in .txt or .md
          2|rate --data demo/firing-log.csv --outcome grade --success cracked,warped --against 8% --json --out answer.txt|contradict one another
          2|rate --data demo/firing-log.csv --outcome grade --success cracked,warped --against 8% --out none/answer.txt|there is no folder
          2|rate --data demo/firing-log.csv --outcome grade --success cracked,warped --against 8% --chart rates.pdf|must end in .png or .svg
          2|rate --data demo/firing-log.csv --outcome grade --success cracked,warped --against 8% --chart a.png --chart null=a.png|different files
          2|look --against 5% --data demo/firing-log.csv|no option --against
          2|look|--data is needed: a file of rows, or a database
          2|lok|there is no command lok
          3|rate --data demo/fireing-log.csv --outcome grade --success cracked,warped --against 8%|there is no file
          3|rate --data FOLDER --outcome grade --success cracked,warped --against 8%|is a directory
          3|rate --data demo/firing-log.csv --outcome grad --success cracked,warped --against 8%|did you mean grade?
          3|rate --data demo/firing-log.csv --outcome grade --success cracked,warpd --against 8%|did you mean warped?
          3|rate --data demo/firing-log.csv --outcome grade --success cracked,glued --against 8%|say so: --levels glued,sound
          3|rate --data demo/firing-log.csv --outcome grade --success cracked,warped --against 8% --where kiln=nroth|no row has kiln=nroth; did you mean
          3|rate --data demo/firing-log.csv --outcome grade --success cracked,warped --against 8% --missing fail|column grade has no value
          3|rate --data demo/firing-log.csv --outcome grade --success cracked,warped --against 8% --count glaze|whole numbers from 0
          3|rate --data FOLDER/ragged.csv --outcome grade --success cracked,warped --against 8%|line 3
          3|rate --data FOLDER/weights.csv --outcome grade --success sound --count n --against 5%|weights are not counts
          3|rate --data FOLDER/zero.csv --outcome grade --success sound --count n --against 5%|nothing is left to count
          3|run FOLDER/study.yaml|line 3, column 15: while parsing a flow mapping, expected
          3|run FOLDER/keys.yaml|did you mean study?
          3|run FOLDER/none.yaml|there is no file
          """)
  void everyTroubleIsOneMessageAndAStatus(int status, String line, String message)
      throws IOException {
    write("ragged.csv", "kiln,grade\nNorth,sound\nSouth\n");
    write("weights.csv", "grade,n\nsound,1.5\n");
    write("zero.csv", "grade,n\nsound,0\n");
    write("study.yaml", "study: x\nquestions:\n  - {ask: rate\n");
    write("keys.yaml", "studdy: x\nquestions: []\n");

    CommandLine answer = CommandLine.shell(line.replace("FOLDER", folder.toString()));

    assertThat(answer.status()).as(line + "\n" + answer.err()).isEqualTo(status);
    assertThat(answer.err()).as(line).contains(message).startsWith("tavik");
    assertThat(answer.err().lines().count()).as(answer.err()).isLessThanOrEqualTo(8);
    assertThat(answer.err()).doesNotContain("Exception").doesNotContain("\tat ", " fault");
    assertThat(answer.out()).as(line).isEmpty();
    try (Stream<Path> files = Files.list(Path.of(""))) {
      assertThat(files.map(Path::toString)).noneMatch(name -> name.startsWith("answer."));
    }
  }

  private void write(String name, String content) throws IOException {
    Files.writeString(folder.resolve(name), content);
  }
}
