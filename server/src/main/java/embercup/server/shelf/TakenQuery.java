package embercup.server.shelf;

import embercup.server.platform.Fields;
import embercup.server.shelf.TakenFromTins.Since;
import embercup.server.shelf.TakenFromTins.Taken;
import java.sql.Timestamp;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * Asks the database what was taken out of tins: one question for the whole shelf, which grows with what was taken since the oldest
 * tin, and not with that times the tins. Stateless.
 */
public final class TakenQuery {

    private TakenQuery() {}

    /**
     * In the order of what is asked.
     *
     * @param taken a query of who took what: id, at, herb, form, grams, spread; what is asked stands in {@code w} (herb, form, at, n)
     * @param parameters of that query
     */
    public static List<Taken> asked(JdbcClient jdbc, String taken, Map<String, ?> parameters, List<Since> of) {
        return jdbc.sql("""
                        with w as (
                            select herb, form, at, n
                            from unnest(cast(:herbs as text[]), cast(:forms as text[]), cast(:ats as timestamptz[]))
                                with ordinality w(herb, form, at, n)),
                        taken as materialized (%s)
                        select coalesce(sum(t.grams), 0), coalesce(sqrt(sum(power(t.spread, 2))), 0), count(distinct t.id)
                        from w left join taken t on t.herb = w.herb and t.form = w.form and t.at >= w.at
                        group by w.n order by w.n""".formatted(taken))
                .params(parameters)
                .param("herbs", of.stream().map(Since::herb).toArray(String[]::new))
                .param("forms", of.stream().map(s -> Fields.code(s.form())).toArray(String[]::new))
                .param("ats", of.stream().map(s -> Timestamp.from(s.at())).toArray(Timestamp[]::new))
                .query((row, n) -> new Taken(row.getDouble(1), row.getDouble(2), row.getInt(3)))
                .list();
    }
}
