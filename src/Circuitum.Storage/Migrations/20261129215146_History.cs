using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Circuitum.Storage.Migrations
{
    /// <inheritdoc />
    public partial class History : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "About",
                table: "Revisions",
                type: "TEXT",
                maxLength: 120,
                nullable: false,
                defaultValue: ""
            );

            migrationBuilder.AddColumn<int>(name: "Base", table: "Revisions", type: "INTEGER", nullable: false, defaultValue: 0);

            migrationBuilder.AddColumn<string>(
                name: "By",
                table: "Revisions",
                type: "TEXT",
                maxLength: 80,
                nullable: false,
                defaultValue: ""
            );

            migrationBuilder.AddColumn<string>(name: "Named", table: "Revisions", type: "TEXT", maxLength: 80, nullable: true);

            migrationBuilder.AddColumn<byte[]>(name: "Packed", table: "Revisions", type: "BLOB", nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(name: "About", table: "Revisions");

            migrationBuilder.DropColumn(name: "Base", table: "Revisions");

            migrationBuilder.DropColumn(name: "By", table: "Revisions");

            migrationBuilder.DropColumn(name: "Named", table: "Revisions");

            migrationBuilder.DropColumn(name: "Packed", table: "Revisions");
        }
    }
}
