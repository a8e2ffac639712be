package embercup.server.brews;

import embercup.server.platform.Fields;
import embercup.server.shelf.TakenFromTins;
import java.sql.Timestamp;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What brews took out of tins: of everything that was started and not given up, what its plan measured out. */
@Component
class HerbsTaken implements TakenFromTins {

    private final JdbcClient jdbc;

    HerbsTaken(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Override
    @Transactional(readOnly = true)
    public List<Taken> taken(List<Since> of) {
        // One question for the whole shelf; of brews without the herb no plan is opened.
        return jdbc.sql("""
                        select t.grams, t.spread, t.brews
                        from unnest(cast(:herbs as text[]), cast(:forms as text[]), cast(:ats as timestamptz[]))
                            with ordinality w(herb, form, at, n)
                        cross join lateral (
                            select coalesce(sum((a ->> 'grams')::double precision), 0) as grams,
                                coalesce(sqrt(sum(power(((a ->> 'highG')::double precision - (a ->> 'lowG')::double precision) / 2, 2))), 0) as spread,
                                count(distinct b.id) as brews
                            from brew b cross join lateral jsonb_array_elements(b.plan -> 'additions') a
                            where b.started_at >= w.at and b.herbs @> jsonb_build_array(w.herb)
                                and b.phase in ('running', 'finished') and b.clock_real is null
                                and a ->> 'herb' = w.herb and a ->> 'form' = w.form) t
                        order by w.n""")
                .param("herbs", of.stream().map(Since::herb).toArray(String[]::new))
                .param("forms", of.stream().map(s -> Fields.code(s.form())).toArray(String[]::new))
                .param("ats", of.stream().map(s -> Timestamp.from(s.at())).toArray(Timestamp[]::new))
                .query((row, n) -> new Taken(row.getDouble(1), row.getDouble(2), row.getInt(3)))
                .list();
    }
}
